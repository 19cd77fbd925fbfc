<?php

declare(strict_types=1);

namespace Tests\Console;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\File;
use Tests\TestCase;

final class ForesightCommandsTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/silent-keep-'.bin2hex(random_bytes(6));
        File::makeDirectory($this->folder);
    }

    protected function tearDown(): void
    {
        File::deleteDirectory($this->folder);
        parent::tearDown();
    }

    public function test_the_commands_print_the_recorded_answers(): void
    {
        $tried = [];
        foreach (json_decode((string) file_get_contents(__DIR__.'/../cases/foresight.cases.json')) as $case) {
            if (($tried[$case->command] ?? 0) >= 6) {
                continue;
            }
            $tried[$case->command] = ($tried[$case->command] ?? 0) + 1;
            $options = [$case->command === 'keep:impact' ? '--before' : '--plan' => $this->file($case->plan)];
            foreach (get_object_vars($case->args) as $name => $value) {
                $options["--{$name}"] = is_string($value) || is_bool($value) || $name === 'label' ? $value : $this->file($value);
            }

            $status = Artisan::call($case->command, $options);
            $output = Artisan::output();
            self::assertSame(0, $status, $output);
            self::assertJsonStringEqualsJsonString((string) json_encode($case->answer), $output);
        }
        self::assertCount(4, $tried);
    }

    public function test_an_until_that_is_not_after_from_is_refused(): void
    {
        $options = ['--plan' => __DIR__.'/../cases/clinker.plan.json', '--offer' => 'yard-trial', '--from' => '2026-03-02T13:00:00Z', '--until' => '2026-03-02T13:00:00Z'];

        self::assertSame(1, Artisan::call('keep:best-case', $options));
        self::assertStringContainsString('must end after it begins', Artisan::output());
    }

    public function test_a_course_in_neither_plan_is_refused(): void
    {
        $plan = __DIR__.'/../cases/clinker.plan.json';

        self::assertSame(1, Artisan::call('keep:impact', ['--before' => $plan, '--after' => $plan, '--course' => 'x', '--people' => $this->file([]), '--at' => '2026-03-02T13:00:00Z', '--until' => '2026-03-02T13:00:00Z']));
    }

    public function test_what_is_not_there_is_refused_by_name(): void
    {
        $plan = __DIR__.'/../cases/clinker.plan.json';

        self::assertSame(1, Artisan::call('keep:dates', ['--plan' => $plan, '--offer' => 'x', '--from' => '2026-03-02T13:00:00Z']));
        self::assertStringContainsString('no such offer: x', Artisan::output());
        self::assertSame(1, Artisan::call('keep:dates', ['--plan' => $plan, '--offer' => 'taster', '--from' => 'yesterday']));
        self::assertSame(1, Artisan::call('keep:ways-in', ['--plan' => $plan, '--ask' => $this->file(['id' => 'a', 'course' => 'clinker', 'at' => '2026-03-02T13:00:00Z', 'viewer' => new \stdClass]), '--item' => 'x']));
    }

    public function test_dates_as_a_calendar(): void
    {
        self::assertSame(0, Artisan::call('keep:dates', ['--plan' => __DIR__.'/../cases/clinker.plan.json', '--offer' => 'apprentice-pass', '--from' => '2026-03-02T13:00:00Z', '--ics' => true]));
        self::assertStringStartsWith("BEGIN:VCALENDAR\r\n", Artisan::output());
    }

    private function file(mixed $value): string
    {
        $file = $this->folder.'/'.bin2hex(random_bytes(4)).'.json';
        file_put_contents($file, json_encode($value));

        return $file;
    }
}
