<?php

declare(strict_types=1);

namespace App\School\Letters;

/** Words of a letter whose placeholders stand in braces. A line that says nothing but what is not there is left out. */
final readonly class LetterWords
{
    /** @param  array<string, string>  $values  by placeholder */
    public function __construct(private LetterKind $kind, private array $values)
    {
    }

    /** @return string one line, whatever goes in it */
    public function subject(string $pattern): string
    {
        return trim((string) preg_replace('/[\x00-\x1F\x7F\x{2028}\x{2029}]+/u', ' ', $this->fill($pattern)));
    }

    public function body(string $pattern): string
    {
        $lines = [];
        foreach (explode("\n", str_replace("\r\n", "\n", $pattern)) as $line) {
            $filled = $this->fill($line);
            if (trim($filled) !== '' || trim($line) === '') {
                $lines[] = rtrim($filled);
            }
        }

        return trim((string) preg_replace('/\n{3,}/', "\n\n", implode("\n", $lines)))."\n";
    }

    /** @return list<string> words in braces that stand for nothing */
    public static function unknownIn(LetterKind $kind, string $pattern): array
    {
        preg_match_all('/\{([^{}]*)\}/', $pattern, $found);

        return array_values(array_unique(array_diff($found[1], $kind->placeholders())));
    }

    /** Once: what goes in is not looked through for braces again. */
    private function fill(string $pattern): string
    {
        $known = $this->kind->placeholders();

        return preg_replace_callback('/\{(\w+)\}/', fn (array $found): string => in_array($found[1], $known, true) ? $this->values[$found[1]] ?? '' : $found[0], $pattern) ?? $pattern;
    }
}
