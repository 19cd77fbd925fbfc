<?php

declare(strict_types=1);

namespace Tests\Checks;

use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Factories\LabelFactory;
use Tests\TestCase;

/** Find or do: by every word that newcomers bring with them. */
final class FindTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /** @return list<array<array-key, mixed>> */
    private function find(string $typed, string $at = 'clinker'): array
    {
        $found = $this->getJson('/keep/find?'.http_build_query(['q' => $typed, 'at' => $at]))->assertOk()->json();

        return is_array($found) ? array_values(array_filter($found, is_array(...))) : [];
    }

    /** @return iterable<string, array{string, string}> */
    public static function phrases(): iterable
    {
        foreach ([
            'free lesson' => 'do sample', 'preview' => 'do sample', 'taster lesson' => 'do sample', 'drip' => 'do release', 'delay' => 'do release', 'unlock date' => 'do release',
            'prerequisite' => 'do after', 'gate' => 'do after', 'lock a lesson' => 'do after', 'must complete first' => 'do after', 'membership level' => 'do tier', 'premium content' => 'do tier',
            'expire a lesson' => 'do closing_time', 'hide a lesson' => 'do hidden', 'guest link' => 'do doors', 'password protect' => 'do doors', 'course dates' => 'do season', 'view as student' => 'do look',
            'impersonate' => 'do look', 'gantt' => 'do timeline', 'dry run' => 'do rehearse', 'publish' => 'do rehearse', 'undo publish' => 'do history', 'version history' => 'do history',
            'mistakes' => 'do checks', 'upload a video' => 'do contents', 'exam' => 'do quiz', 'archive course' => 'do retire', 'duplicate course' => 'do run_again', 'dashboard' => 'do today',
            'create a course' => 'do courses', 'students' => 'do people', 'import csv' => 'do bring_in', 'bulk enrol' => 'do bring_in', 'parent' => 'do observers', 'sponsor' => 'do observers', 'mentor' => 'do observers',
            'free trial' => 'do trials', 'tags' => 'do labels', 'extend access' => 'do extend', 'price' => 'do offers', 'checkout' => 'do offers', 'paywall' => 'do notices', 'redirect' => 'do notices',
            'error page' => 'do notices', 'email templates' => 'do letters', 'automation' => 'do triggers', 'webhook' => 'do outside', 'api key' => 'do tokens', 'time zone' => 'do zone', 'home page' => 'do front',
            'vacation' => 'do holidays', 'analytics' => 'do numbers', 'conversion' => 'do numbers', 'merge tags' => 'do labels', 'change my password' => 'do password', 'bounced mail' => 'do outbox',
            // What there is, by a part of its name, without its accents and in any case.
            'clinker' => 'course clinker', 'WINTER' => 'course winter-refit', 'garboard' => 'item clinker l-garboard', 'rivets and' => 'item clinker l-rivets', 'eira' => 'person 3', 'Yard trial' => 'offer yard-trial',
            'oar-bonus' => 'label oar-bonus',
        ] as $typed => $first) {
            yield (string) $typed => [(string) $typed, $first];
        }
    }

    #[DataProvider('phrases')]
    public function test_a_newcomers_phrase_finds_the_right_thing_first(string $typed, string $first): void
    {
        $first = $first === 'person 3' ? "person {$this->person('eira')->id}" : $first;

        self::assertSame($first, $this->find($typed)[0]['id'] ?? 'nothing', implode(' | ', array_map(static fn (array $one): string => is_string($one['id']) ? $one['id'] : '', $this->find($typed))));
    }

    public function test_the_question_is_answered_where_it_is_asked(): void
    {
        [$first] = $this->find('why eira garboard');
        self::assertSame(['why', 'Why can Eira Holm not see The garboard?', 'clinker', 'l-garboard', $this->person('eira')->id], [$first['kind'], $first['title'], $first['course'], $first['item'], $first['person']]);
        self::assertSame($first['id'], $this->find('Why can’t Eira Holm see the garboard?')[0]['id']);
        self::assertSame([], array_filter($this->find('why nobody garboard'), static fn (array $one): bool => $one['kind'] === 'why'));
    }

    public function test_rows_are_found_by_themselves(): void
    {
        $rows = $this->getJson('/keep/find/rows?q=oak')->assertOk()->json();
        self::assertIsArray($rows);
        self::assertSame(['item'], array_values(array_unique(array_column($rows, 'kind'))));
        self::assertContains('l-advanced', array_column($rows, 'item'));
        self::assertSame([], $this->getJson('/keep/find/rows?q=')->json());
    }

    public function test_who_does_not_run_the_school_is_led_to_nothing_that_they_may_not_see(): void
    {
        $this->actingAs($this->person('aksel'));
        foreach (['api key', 'webhook', 'bounced mail', 'import csv'] as $typed) {
            foreach ($this->find($typed) as $found) {
                self::assertIsString($found['href']);
                $this->get($found['href'])->assertOk();
            }
        }
        $this->actingAs($this->person('eira'))->getJson('/keep/find?q=eira')->assertNotFound();
    }

    public function test_everything_that_is_found_is_there(): void
    {
        $seen = [];
        foreach (self::phrases() as [$typed]) {
            foreach ($this->find($typed) as $found) {
                self::assertIsString($found['href']);
                $seen[strtok($found['href'], '#')] = true;
            }
        }
        foreach (array_keys($seen) as $href) {
            // Where nothing waits there is no rehearsal, and it leads to the course.
            $this->followingRedirects()->get((string) $href)->assertOk();
        }
        self::assertGreaterThan(30, count($seen));
    }

    public function test_it_takes_as_many_queries_however_much_there_is(): void
    {
        $queries = function (): int {
            $this->inAnotherProcess();
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->find('o');

            return count(DB::getQueryLog());
        };
        // From the first time on it is kept what the courses are called.
        $queries();
        $few = $queries();
        foreach (range(1, 20) as $n) {
            LabelFactory::new()->of($this->person('jonas'))->createOne(['label' => "order {$n}"]);
        }

        self::assertSame($few, $queries());
    }
}
