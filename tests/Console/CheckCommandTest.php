<?php

declare(strict_types=1);

namespace Tests\Console;

use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\DataProvider;
use SilentKeep\Core\Checks\CheckKind;
use Tests\Core\Documents as D;
use Tests\TestCase;

final class CheckCommandTest extends TestCase
{
    private string $file;

    protected function setUp(): void
    {
        parent::setUp();
        $this->file = (string) tempnam(sys_get_temp_dir(), 'plan');
        $this->plan([D::lesson('first'), D::lesson('a', title: 'Anchors', after: ['all' => ['b']]), D::lesson('b', title: 'Bends', after: ['all' => ['a']]), D::lesson('x', only: ['label' => 'keen'])], ['plans' => ['spare' => new \stdClass]]);
    }

    protected function tearDown(): void
    {
        unlink($this->file);
        parent::tearDown();
    }

    /**
     * @param  list<array<string, mixed>>  $items
     * @param  array<string, mixed>  $course
     */
    private function plan(array $items, array $course = []): void
    {
        file_put_contents($this->file, json_encode(D::document($items, $course), JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR));
    }

    /**
     * @param  array<string, mixed>  $options
     * @return array{int, string}
     */
    private function check(array $options = []): array
    {
        $status = Artisan::call('keep:check', ['plan' => $this->file, '--at' => '2026-03-10T12:00:00Z', ...$options]);

        return [$status, Artisan::output()];
    }

    public function test_it_says_what_is_found_in_a_file(): void
    {
        [$status, $said] = $this->check();

        self::assertSame(1, $status);
        self::assertSame("c: Wrong: Anchors and Bends wait for each other, and never open. Nobody can finish the one before the other: learners stand before a lock without a key. [waits_in_circle]\nc: No effect: No offer goes by the plan spare. Whoever changes it wonders why nothing changes. [plan_unused]\n2 findings.\n", $said);
    }

    /** @return iterable<string, array{list<array<string, mixed>>, array<string, mixed>, int}> */
    public static function statuses(): iterable
    {
        $good = [D::lesson('first')];
        $idle = ['plans' => ['spare' => new \stdClass]];
        yield 'nothing' => [$good, [], 0];
        yield 'nothing that is wrong' => [$good, $idle, 0];
        yield 'less than what is asked for' => [$good, [...$idle, '--fail-on' => 'doubt'], 0];
        yield 'what is asked for' => [$good, [...$idle, '--fail-on' => 'idle'], 1];
        yield 'a level that there is not' => [$good, ['--fail-on' => 'all'], 2];
        yield 'a form that there is not' => [$good, ['--format' => 'xml'], 2];
        yield 'an instant that is none' => [$good, ['--at' => 'now'], 2];
        yield 'a plan that cannot be read' => [[['key' => 'x']], [], 2];
    }

    /**
     * @param  list<array<string, mixed>>  $items
     * @param  array<string, mixed>  $with
     */
    #[DataProvider('statuses')]
    public function test_it_ends_with_a_status(array $items, array $with, int $status): void
    {
        $this->plan($items, isset($with['plans']) ? ['plans' => $with['plans']] : []);

        self::assertSame($status, $this->check(array_diff_key($with, ['plans' => true]))[0]);
    }

    public function test_what_a_plan_does_not_say_is_told_by_options(): void
    {
        $kinds = fn (array $options): array => array_column((array) json_decode($this->check(['--format' => 'json', ...$options])[1], true, 512, JSON_THROW_ON_ERROR), 'check');

        self::assertSame(['waits_in_circle', 'plan_unused'], $kinds([]));
        self::assertSame(['waits_in_circle', 'label_not_given', 'plan_unused'], $kinds(['--label' => ['other']]));
        self::assertSame(['waits_in_circle', 'plan_unused'], $kinds(['--label' => ['keen']]));
        self::assertSame(['plan_unused'], $kinds(['--trial' => ['o']]), 'A trial is meant to end before all is open.');
        self::assertSame([], $kinds(['--course' => 'other']));
    }

    public function test_it_writes_sarif(): void
    {
        $log = json_decode($this->check(['--format' => 'sarif'])[1], true, 512, JSON_THROW_ON_ERROR);
        $run = $log['runs'][0];
        $lines = file($this->file) ?: [];

        self::assertSame('2.1.0', $log['version']);
        self::assertCount(count(CheckKind::cases()), $run['tool']['driver']['rules']);
        self::assertSame([['waits_in_circle', 'error'], ['plan_unused', 'note']], array_map(static fn (array $result): array => [$result['ruleId'], $result['level']], $run['results']));
        foreach ($run['results'] as $result) {
            self::assertSame($result['ruleId'], $run['tool']['driver']['rules'][$result['ruleIndex']]['id']);
        }
        self::assertStringContainsString('"key": "a"', $lines[$run['results'][0]['locations'][0]['physicalLocation']['region']['startLine'] - 1]);
    }

    public function test_without_a_file_it_is_of_what_is_live_here(): void
    {
        $this->demoSchool();
        $status = Artisan::call('keep:check', ['--format' => 'json', '--course' => 'clinker']);

        self::assertSame([0, ['trial_sooner']], [$status, array_column((array) json_decode(Artisan::output(), true, 512, JSON_THROW_ON_ERROR), 'check')]);
        self::assertSame(1, Artisan::call('keep:check'));
    }
}
