<?php

declare(strict_types=1);

namespace App\Words;

use Illuminate\Support\Facades\Lang;
use MessageFormatter;

/** Words by their keys, from lang/. Patterns are ICU messages: placeholders, plurals and numbers are the language's own affair. */
final class Say
{
    /** @var array<string, array{MessageFormatter, list<string>}> by language and key, with what must go in them */
    private static array $patterns = [];

    /** @var array<string, string> words in which nothing goes, by language and key: a course of 400 rows says the same few of them thousands of times */
    private static array $fixed = [];

    private function __construct()
    {
    }

    /** @param  array<string, string|int|float>  $with  by placeholder */
    public static function text(string $key, array $with = []): string
    {
        $fixed = self::$fixed[Lang::getLocale()." {$key}"] ?? null;
        if ($fixed !== null) {
            return $fixed;
        }
        [$pattern, $needed] = self::pattern($key);
        $missing = array_diff($needed, array_keys($with));
        if ($missing !== []) {
            throw new \LogicException("The words {$key} need ".implode(', ', $missing).'.');
        }
        $said = $pattern->format($with);

        if ($said === false) {
            throw new \LogicException("The words {$key} do not go with what they are given.");
        }
        if ($needed === []) {
            self::$fixed[Lang::getLocale()." {$key}"] = $said;
        }

        return $said;
    }

    /** Words as they stand in lang/, for whoever fills them in with placeholders of their own. */
    public static function unfilled(string $key): string
    {
        $words = Lang::get($key);

        return is_string($words) && $words !== $key ? $words : throw new \LogicException("There are no words {$key}.");
    }

    /**
     * What must go in a pattern, branches of its plurals and choices included.
     *
     * @return list<string>
     */
    public static function placeholders(string $pattern): array
    {
        $at = 0;

        return array_values(array_unique(self::arguments($pattern, $at)));
    }

    /** @return list<string> of a message up to the brace that ends it, at which it leaves off */
    private static function arguments(string $pattern, int &$at): array
    {
        $found = [];
        for (; $at < strlen($pattern) && $pattern[$at] !== '}'; $at++) {
            if ($pattern[$at] !== '{') {
                continue;
            }
            preg_match('/\G\{\s*(\w+)\s*(,\s*(?:plural|select|selectordinal)\s*,)?/', $pattern, $begun, 0, $at);
            $found[] = $begun[1] ?? '';
            $at += max(1, strlen($begun[0] ?? ''));
            // Of a plural or a choice each branch is a message; of all else nothing up to the brace that ends it matters.
            $branches = isset($begun[2]);
            for (; $at < strlen($pattern) && $pattern[$at] !== '}'; $at++) {
                if ($branches && $pattern[$at] === '{') {
                    $at++;
                    array_push($found, ...self::arguments($pattern, $at));
                }
            }
        }

        return array_values(array_filter($found, static fn (string $name): bool => $name !== ''));
    }

    /** @return array{MessageFormatter, list<string>} */
    private static function pattern(string $key): array
    {
        $locale = Lang::getLocale();

        return self::$patterns["{$locale} {$key}"] ??= self::read($locale, $key);
    }

    /** @return array{MessageFormatter, list<string>} */
    private static function read(string $locale, string $key): array
    {
        $pattern = self::unfilled($key);

        return [new MessageFormatter($locale, $pattern), self::placeholders($pattern)];
    }
}
