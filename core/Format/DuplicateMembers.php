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

    private function __construct() {}

    /**
     * @param  string  $json  valid JSON
     * @return list<string> the JSON pointers of the later ones, in document order
     */
    public static function in(string $json): array
    {
        $duplicates = [];
        /** @var list<array{string, array<array-key, true>, int}> $open pointer, names seen, index of the next element (-1 in an object) */
        $open = [];
        $name = '';
        $offset = 0;
        while (preg_match(self::TOKEN, $json, $m, 0, $offset) === 1) {
            $offset += strlen($m[0]);
            $top = count($open) - 1;
            if (isset($m[3])) {
                $name = (string) json_decode('"'.$m[2].'"');
                if (isset($open[$top][1][$name])) {
                    $duplicates[] = $open[$top][0].'/'.Pointer::escape($name);
                }
                $open[$top][1][$name] = true;

                continue;
            }
            $bracket = $m[1] ?? '';
            if ($bracket === '}' || $bracket === ']') {
                array_pop($open);

                continue;
            }
            $pointer = '';
            if ($top >= 0) {
                $pointer = $open[$top][0].'/'.($open[$top][2] < 0 ? Pointer::escape($name) : $open[$top][2]++);
            }
            if ($bracket !== '') {
                $open[] = [$pointer, [], $bracket === '{' ? -1 : 0];
            }
        }

        return $duplicates;
    }
}
