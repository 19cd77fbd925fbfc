<?php

declare(strict_types=1);

namespace App\Notices;

use App\Words\SafeText;
use App\Words\Say;

/** Names and dates that stand in braces in the words of a notice. */
final readonly class Placeholders
{
    public const KNOWN = ['title', 'course', 'name', 'opens', 'first', 'tiers', 'pass', 'left', 'offer', 'offers', 'price', 'school', 'contact'];

    /** Where nothing is known of these, there are words in their place. */
    private const OTHERWISE = ['name', 'opens', 'first', 'tiers', 'pass', 'left', 'offer', 'offers', 'price', 'contact'];

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

        return array_values(array_unique(array_filter($found[1], static fn (string $name): bool => ! in_array($name, self::KNOWN, true))));
    }

    /** @param  callable(string): string  $as */
    private function fill(string $pattern, callable $as): string
    {
        return preg_replace_callback('/\{(\w+)\}/', fn (array $found): string => in_array($found[1], self::KNOWN, true)
            ? $as(($this->values[$found[1]] ?? '') === '' ? self::otherwise($found[1]) : $this->values[$found[1]])
            : $found[0], $pattern) ?? $pattern;
    }

    private static function otherwise(string $name): string
    {
        return in_array($name, self::OTHERWISE, true) ? Say::text("cases.otherwise.{$name}") : '';
    }
}
