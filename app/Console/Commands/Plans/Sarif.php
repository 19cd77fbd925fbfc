<?php

declare(strict_types=1);

namespace App\Console\Commands\Plans;

use App\Words\FindingWords;
use App\Words\Say;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Level;

/** Findings in the Static Analysis Results Interchange Format (OASIS, 2.1.0), for those who review plans as files. */
final class Sarif
{
    private function __construct()
    {
    }

    /**
     * @param  list<CheckedCourse>  $checked
     * @param  ?string  $file  that was checked, as it was named
     * @param  \Closure(int): string  $when
     * @return array<string, mixed>
     */
    public static function of(array $checked, ?string $file, \Closure $when): array
    {
        $kinds = CheckKind::cases();
        $lines = $file === null ? [] : explode("\n", (string) file_get_contents($file));
        $results = [];
        foreach ($checked as $one) {
            $words = new FindingWords($one->course, $when);
            foreach ($one->findings as $finding) {
                $results[] = [
                    'ruleId' => $finding->kind->value, 'ruleIndex' => (int) array_search($finding->kind, $kinds, true), 'level' => self::level($finding->kind->level()),
                    'message' => ['text' => $words->what($finding).' '.$words->why($finding)],
                    'locations' => [self::location($one->course->key, $finding, $file, $lines)],
                    'partialFingerprints' => ['subject/v1' => hash('xxh128', $finding->subject()), 'cause/v1' => $finding->cause],
                ];
            }
        }

        return [
            'version' => '2.1.0',
            'runs' => [['tool' => ['driver' => ['name' => Say::text('keep.product'), 'rules' => array_map(self::rule(...), $kinds)]], 'columnKind' => 'utf16CodeUnits', 'results' => $results]],
        ];
    }

    /** @return array<string, mixed> */
    private static function rule(CheckKind $kind): array
    {
        return ['id' => $kind->value, 'shortDescription' => ['text' => Say::text("checks.why.{$kind->value}")], 'defaultConfiguration' => ['level' => self::level($kind->level())]];
    }

    private static function level(Level $level): string
    {
        return match ($level) {
            Level::Fault => 'error',
            Level::Doubt => 'warning',
            Level::Idle => 'note',
        };
    }

    /**
     * @param  list<string>  $lines  of the file
     * @return array<string, mixed>
     */
    private static function location(string $course, Finding $finding, ?string $file, array $lines): array
    {
        $key = $finding->items[0] ?? $finding->offers[0] ?? $course;
        $logical = ['logicalLocations' => [['name' => $key, 'fullyQualifiedName' => "{$course}/{$key}"]]];
        if ($file === null) {
            return $logical;
        }

        return ['physicalLocation' => ['artifactLocation' => ['uri' => str_replace('%2F', '/', rawurlencode($file))], 'region' => ['startLine' => self::lineOf($key, $lines)]], ...$logical];
    }

    /**
     * The first line on which the key stands as one; the first of all, where it is written in another way.
     *
     * @param  list<string>  $lines
     */
    private static function lineOf(string $key, array $lines): int
    {
        foreach ($lines as $at => $line) {
            if (preg_match('/"key"\s*:\s*'.preg_quote((string) json_encode($key, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES), '/').'/', $line) === 1) {
                return $at + 1;
            }
        }

        return 1;
    }
}
