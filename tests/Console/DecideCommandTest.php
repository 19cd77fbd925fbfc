<?php

declare(strict_types=1);

namespace Tests\Console;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\File;
use Tests\TestCase;

final class DecideCommandTest extends TestCase
{
    private const CLINKER = __DIR__.'/../cases/clinker.plan.json';

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

    public function test_it_answers_every_ask_in_order(): void
    {
        $cases = json_decode((string) file_get_contents(__DIR__.'/../cases/clinker.cases.json'));
        $status = Artisan::call('keep:decide', ['--plan' => self::CLINKER, '--asks' => $this->file(array_column($cases, 'ask'))]);

        self::assertSame(0, $status);
        self::assertJsonStringEqualsJsonString((string) json_encode(array_column($cases, 'answer')), Artisan::output());
    }

    public function test_a_bad_ask_is_told_in_its_place_and_the_others_are_answered(): void
    {
        $good = ['id' => 'good', 'course' => 'clinker', 'at' => '2026-03-05T12:00:00Z', 'viewer' => new \stdClass];
        $asks = [
            $good,
            ['id' => 'no course'] + ['course' => 'x'] + $good,
            ['id' => 'bad instant', 'at' => '2026-02-30T00:00:00Z'] + $good,
            ['id' => 'wrong type', 'viewer' => ['staff' => 'yes']] + $good,
            ['id' => 'no offer', 'viewer' => ['passes' => [['offer' => 'x', 'from' => '2026-03-05T12:00:00Z']]]] + $good,
            ['id' => 'no state', 'viewer' => ['passes' => [['offer' => 'taster', 'from' => '2026-03-05T12:00:00Z', 'state' => 'lost']]]] + $good,
            7,
            ['id' => 'last'] + $good,
        ];
        $status = Artisan::call('keep:decide', ['--plan' => self::CLINKER, '--asks' => $this->file($asks)]);
        $answers = json_decode(Artisan::output(), true);

        self::assertSame(1, $status);
        self::assertSame(['good', 'no course', 'bad instant', 'wrong type', 'no offer', 'no state', null, 'last'], array_column($answers, 'id'));
        self::assertSame([false, true, true, true, true, true, true, false], array_map(static fn (array $answer): bool => isset($answer['error']), $answers));
        self::assertCount(18, $answers[7]['items']);
    }

    public function test_what_an_observed_learner_observes_is_not_read(): void
    {
        $asks = [['id' => 'a', 'course' => 'clinker', 'at' => '2026-03-05T12:00:00Z', 'viewer' => ['observes' => ['staff' => 'nonsense', 'observes' => 5]]]];

        self::assertSame(0, Artisan::call('keep:decide', ['--plan' => self::CLINKER, '--asks' => $this->file($asks)]));
    }

    public function test_no_asks_give_no_answers(): void
    {
        self::assertSame(0, Artisan::call('keep:decide', ['--plan' => self::CLINKER, '--asks' => $this->file([])]));
        self::assertSame('[]', trim(Artisan::output()));
    }

    public function test_files_that_are_no_list_are_refused(): void
    {
        foreach (['{}', '', '[1', '[1] 2', '[1 2'] as $text) {
            file_put_contents($this->folder.'/bad', $text);
            self::assertSame(1, Artisan::call('keep:decide', ['--plan' => self::CLINKER, '--asks' => $this->folder.'/bad']), $text);
        }
        self::assertSame(1, Artisan::call('keep:decide', ['--plan' => self::CLINKER, '--asks' => $this->folder.'/none']));
        self::assertSame(1, Artisan::call('keep:decide', ['--plan' => $this->folder.'/none', '--asks' => $this->file([])]));
    }

    private function file(mixed $value): string
    {
        $file = $this->folder.'/'.bin2hex(random_bytes(4)).'.json';
        file_put_contents($file, json_encode($value));

        return $file;
    }
}
