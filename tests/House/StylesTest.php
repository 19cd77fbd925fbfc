<?php

declare(strict_types=1);

namespace Tests\House;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** Every class of a stylesheet is worn by something, and whatever a component wears is in its stylesheet. */
final class StylesTest extends TestCase
{
    private const ROOT = __DIR__.'/../../resources/js';

    public function test_what_is_worn_is_there_and_what_is_there_is_worn(): void
    {
        $there = $worn = $begun = [];
        foreach (Finder::create()->files()->name('*.module.css')->in(self::ROOT) as $file) {
            preg_match_all('/([^{}]+)\{/', (string) preg_replace('#/\*.*?\*/#s', '', $file->getContents()), $selectors);
            preg_match_all('/\.([a-z][\w-]*)/', (string) preg_replace('/:global\([^)]*\)/', '', implode(' ', $selectors[1])), $classes);
            foreach ($classes[1] as $class) {
                $there[$file->getBasename()][$class] = true;
            }
        }
        foreach (Finder::create()->files()->name('*.tsx')->in(self::ROOT) as $file) {
            preg_match_all("/^import (css|ui) from '[^']*\/([\w-]+\.module\.css)';/m", $file->getContents(), $imports, PREG_SET_ORDER);
            foreach ($imports as [, $as, $sheet]) {
                preg_match_all("~(?<![\w/.]){$as}(?:\.([a-zA-Z]\w*)|\['([\w-]+)'\])~", $file->getContents(), $classes);
                foreach (array_filter([...$classes[1], ...$classes[2]], static fn (string $class): bool => $class !== '') as $class) {
                    $worn[$sheet][$class] = true;
                }
                // Of those that go by a state or a kind there is the beginning, or nothing.
                preg_match_all("/\b{$as}\[(?:`([\w-]+)\\$\{|(row\.kind)\])/", $file->getContents(), $families);
                array_push($begun, ...array_map(static fn (string $begins): array => [$sheet, $begins], array_filter($families[1], static fn (string $one): bool => $one !== '')));
                if (in_array('row.kind', $families[2], true)) {
                    array_push($begun, [$sheet, 'module'], [$sheet, 'part'], [$sheet, 'lesson'], [$sheet, 'board']);
                }
            }
        }
        $missing = $unworn = [];
        foreach ($worn as $sheet => $classes) {
            array_push($missing, ...array_map(static fn (string $class): string => "{$sheet} {$class}", array_keys(array_diff_key($classes, $there[$sheet] ?? []))));
        }
        foreach ($there as $sheet => $classes) {
            foreach (array_keys(array_diff_key($classes, $worn[$sheet] ?? [])) as $class) {
                if (array_filter($begun, static fn (array $family): bool => $family[0] === $sheet && str_starts_with($class, $family[1])) === []) {
                    $unworn[] = "{$sheet} {$class}";
                }
            }
        }
        self::assertSame([[], []], [$missing, $unworn]);
    }

    /** A class has another name on the page than in its stylesheet: one that is looked for by that would never be found. */
    public function test_no_script_looks_for_a_class_by_its_plain_name(): void
    {
        $found = [];
        foreach (Finder::create()->files()->name(['*.ts', '*.tsx'])->in(self::ROOT) as $file) {
            preg_match_all("/(?:querySelector(?:All)?|closest|matches)(?:<[^>]*>)?\('[^'\[]*\.[a-z][^']*'/", $file->getContents(), $asked);
            array_push($found, ...$asked[0]);
        }
        self::assertSame([], $found);
    }
}
