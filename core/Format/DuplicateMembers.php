<?php

declare(strict_types=1);

namespace SilentKeep\Core\Format;

/**
 * Finds names that stand twice in one JSON object. PHP's decoder keeps the last of them in silence,
 * which would drop a rule that somebody wrote.
 */
final class DuplicateMembers
{
    private const TOKEN = '/[\s,:]*+(?:([{}\[\]])|"((?:[^"\\\\]++|\\\\.)*+)"(\s*+:)?|[^\s,:{}\[\]"]++)/sA';

    /** @var list<string> of the objects and lists that are open */
    private array $pointers = [];

    /** @var list<array<array-key, true>> seen in each of them so far */
    private array $names = [];

    /** @var list<int> index of the next element in each; -1 in an object */
    private array $next = [];

    private string $name = '';

    /** @var list<string> */
    private array $duplicates = [];

    private function __construct()
    {
    }

    /**
     * @param  string  $json  valid JSON
     * @return list<string> the JSON pointers of the later ones, in document order
     */
    public static function in(string $json): array
    {
        $walk = new self;
        $offset = 0;
        while (preg_match(self::TOKEN, $json, $m, 0, $offset) === 1) {
            $offset += strlen($m[0]);
            match (true) {
                isset($m[3]) && $walk->pointers !== [] => $walk->member(self::unescape($m[2])),
                ($m[1] ?? '') === '}' || ($m[1] ?? '') === ']' => $walk->leave(),
                default => $walk->value($m[1] ?? ''),
            };
        }

        return $walk->duplicates;
    }

    private function member(string $name): void
    {
        $top = count($this->pointers) - 1;
        if (isset($this->names[$top][$name])) {
            $this->duplicates[] = $this->pointers[$top].'/'.Pointer::escape($name);
        }
        $this->names[$top][$name] = true;
        $this->name = $name;
    }

    private function leave(): void
    {
        array_pop($this->pointers);
        array_pop($this->names);
        array_pop($this->next);
    }

    /** @param  string  $bracket  that begins it; empty: it is neither an object nor a list */
    private function value(string $bracket): void
    {
        $top = count($this->pointers) - 1;
        $pointer = '';
        if ($top >= 0) {
            $pointer = $this->pointers[$top].'/'.($this->next[$top] < 0 ? Pointer::escape($this->name) : $this->next[$top]++);
        }
        if ($bracket !== '') {
            $this->pointers[] = $pointer;
            $this->names[] = [];
            $this->next[] = $bracket === '{' ? -1 : 0;
        }
    }

    private static function unescape(string $escaped): string
    {
        $name = json_decode('"'.$escaped.'"');

        return is_string($name) ? $name : $escaped;
    }
}
