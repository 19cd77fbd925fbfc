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

    private function __construct()
    {
    }

    /**
     * @param  string  $json  valid JSON
     * @return list<string> the JSON pointers of the later ones, in document order
     */
    public static function in(string $json): array
    {
        $duplicates = [];
        /** @var list<string> $pointers of the objects and lists that are open */
        $pointers = [];
        /** @var list<array<array-key, true>> $names seen in each of them so far */
        $names = [];
        /** @var list<int> $next index of the next element in each; -1 in an object */
        $next = [];
        $name = '';
        $offset = 0;
        while (preg_match(self::TOKEN, $json, $m, 0, $offset) === 1) {
            $offset += strlen($m[0]);
            $top = count($pointers) - 1;
            if (isset($m[3]) && $top >= 0) {
                $name = self::unescape($m[2]);
                if (isset($names[$top][$name])) {
                    $duplicates[] = $pointers[$top].'/'.Pointer::escape($name);
                }
                $names[$top][$name] = true;

                continue;
            }
            $bracket = $m[1] ?? '';
            if ($bracket === '}' || $bracket === ']') {
                array_pop($pointers);
                array_pop($names);
                array_pop($next);

                continue;
            }
            $pointer = '';
            if ($top >= 0) {
                $pointer = $pointers[$top].'/'.($next[$top] < 0 ? Pointer::escape($name) : $next[$top]++);
            }
            if ($bracket !== '') {
                $pointers[] = $pointer;
                $names[] = [];
                $next[] = $bracket === '{' ? -1 : 0;
            }
        }

        return $duplicates;
    }

    private static function unescape(string $escaped): string
    {
        $name = json_decode('"'.$escaped.'"');

        return is_string($name) ? $name : $escaped;
    }
}
