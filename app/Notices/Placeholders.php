<?php

declare(strict_types=1);

namespace App\Notices;

use App\Words\SafeText;

/** Names and dates that stand in braces in the words of a notice. */
final readonly class Placeholders
{
    /** What each stands for. */
    public const KNOWN = [
        'title' => 'the lesson',
        'course' => 'the course',
        'name' => 'who reads it',
        'opens' => 'when it opens, with the zone',
        'first' => 'what is to be finished first',
        'tiers' => 'the tiers it is for',
        'pass' => 'their pass',
        'school' => 'the school',
        'contact' => 'whom to ask',
    ];

    /** Where nothing is known. */
    private const OTHERWISE = ['name' => 'a visitor', 'opens' => 'later', 'first' => 'what comes first', 'tiers' => 'another tier', 'pass' => 'your pass', 'contact' => 'the school'];

    /** @param  array<string, string>  $values  by placeholder */
    public function __construct(private array $values)
    {
    }

    public function heading(string $pattern): string
    {
        return $this->fill($pattern, static fn (string $value): string => $value);
    }

    /** @return string sanitised HTML */
    public function html(string $markdown): string
    {
        return SafeText::html($this->fill($markdown, SafeText::escape(...)));
    }

    /**
     * Words in braces that are no placeholder.
     *
     * @return list<string>
     */
    public static function unknownIn(string $pattern): array
    {
        preg_match_all('/\{([^{}]*)\}/', $pattern, $found);

        return array_values(array_unique(array_filter($found[1], static fn (string $name): bool => ! isset(self::KNOWN[$name]))));
    }

    /** @param  callable(string): string  $as */
    private function fill(string $pattern, callable $as): string
    {
        return preg_replace_callback('/\{(\w+)\}/', fn (array $found): string => isset(self::KNOWN[$found[1]])
            ? $as(($this->values[$found[1]] ?? '') === '' ? self::OTHERWISE[$found[1]] ?? '' : $this->values[$found[1]])
            : $found[0], $pattern) ?? $pattern;
    }
}
