<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Learning\Contents\MediumType;
use App\Learning\Quizzes\Question;
use App\Learning\Quizzes\Quiz;
use App\Learning\Watching\Statement;
use App\Notices\NoticeCase;
use App\Notices\Placeholders;
use PHPUnit\Framework\Attributes\DataProvider;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Watching\WatchedStretches;
use Tests\TestCase;

/** The small parts of lessons and notices, each on its own. */
final class SmallPartsTest extends TestCase
{
    private const QUIZ = [
        ['ask' => 'One?', 'answers' => ['a', 'b', 'c'], 'right' => [1]],
        ['ask' => 'Two?', 'answers' => ['a', 'b', 'c'], 'right' => [2, 0]],
        ['ask' => 'Three?', 'answers' => ['a', 'b'], 'right' => [0]],
    ];

    /**
     * @param  list<list<int>>  $answers
     * @param  list<int>  $wrong
     */
    #[DataProvider('answers')]
    public function test_a_question_is_right_where_exactly_its_right_answers_are_chosen(array $answers, array $wrong): void
    {
        self::assertSame($wrong, Quiz::wrong(array_map(Question::of(...), self::QUIZ), $answers));
        self::assertEqualsWithDelta(1 - count($wrong) / 3, Quiz::score(array_map(Question::of(...), self::QUIZ), $answers), 1e-12);
    }

    /** @return array<string, array{list<list<int>>, list<int>}> */
    public static function answers(): array
    {
        return [
            'all' => [[[1], [0, 2], [0]], []],
            'in another order' => [[[1], [2, 0], [0]], []],
            'one of two' => [[[1], [0], [0]], [1]],
            'one too many' => [[[1], [0, 1, 2], [0]], [1]],
            'twice the same' => [[[1, 1], [0, 2, 2], [0]], []],
            'nothing' => [[], [0, 1, 2]],
            'empty' => [[[], [], []], [0, 1, 2]],
            'too few' => [[[1]], [1, 2]],
            'more questions than there are' => [[[1], [0, 2], [0], [0]], []],
            'what is not there' => [[[7], [0, 2], [-1]], [0, 2]],
        ];
    }

    public function test_a_quiz_without_questions_is_passed_by_nobody(): void
    {
        self::assertSame(0.0, Quiz::score([], []));
    }

    #[DataProvider('reasons')]
    public function test_each_reason_of_the_core_is_told_as_one_kind_of_closed_door(Reason $reason, NoticeCase $case): void
    {
        self::assertSame($case, NoticeCase::of(new Decision('l', State::Locked, null, false, [$reason], null)));
    }

    /** @return \Generator<string, array{Reason, NoticeCase}> */
    public static function reasons(): \Generator
    {
        foreach (Reason::cases() as $reason) {
            $case = match ($reason) {
                Reason::NotSignedIn => NoticeCase::Unknown,
                Reason::SampleNeedsAccount => NoticeCase::Account,
                Reason::NoPass => NoticeCase::NoPass,
                Reason::NotInPass => NoticeCase::OtherPart,
                Reason::Tier => NoticeCase::OtherTier,
                Reason::NotForYou => NoticeCase::OtherPeople,
                Reason::Held => NoticeCase::Held,
                Reason::Stuck => NoticeCase::Stuck,
                Reason::NotYet, Reason::PassNotStarted => NoticeCase::TooEarly,
                Reason::CourseNotOpen => NoticeCase::CourseNotOpen,
                Reason::Progress => NoticeCase::FinishFirst,
                Reason::PassEnded => NoticeCase::Ended,
                Reason::PassPaused => NoticeCase::Paused,
                Reason::PassRevoked => NoticeCase::Withdrawn,
                Reason::Closed => NoticeCase::Closed,
                Reason::GuestsShut, Reason::GuestsNotHere => NoticeCase::NoGuests,
                Reason::ObserversShut, Reason::ObserversNotHere, Reason::LearnerCannot => NoticeCase::NoObservers,
                Reason::CourseOver => NoticeCase::CourseOver,
                Reason::CourseRetired => NoticeCase::CourseRetired,
                // Hidden from everybody: nobody meets them at a door.
                Reason::CourseDraft, Reason::Draft => NoticeCase::OtherPart,
            };
            yield $reason->value => [$reason, $case];
        }
    }

    /** @param  list<Reason>  $why */
    #[DataProvider('several')]
    public function test_of_several_reasons_the_one_that_can_be_helped_first_is_told(array $why, NoticeCase $case): void
    {
        foreach ([$why, array_reverse($why)] as $order) {
            self::assertSame($case, NoticeCase::of(new Decision('l', State::Locked, null, false, $order, null)));
        }
    }

    /** @return array<string, array{list<Reason>, NoticeCase}> */
    public static function several(): array
    {
        return [
            'too early, and something first' => [[Reason::NotYet, Reason::Progress], NoticeCase::TooEarly],
            'another tier, and something first' => [[Reason::Tier, Reason::Progress], NoticeCase::OtherTier],
            'ended, and another tier' => [[Reason::PassEnded, Reason::Tier], NoticeCase::Ended],
            'not known, and too early' => [[Reason::NotSignedIn, Reason::NotYet], NoticeCase::Unknown],
            'a guest who is not signed in' => [[Reason::GuestsNotHere, Reason::NotSignedIn], NoticeCase::NoGuests],
        ];
    }

    public function test_only_who_is_not_signed_in_is_asked_to(): void
    {
        foreach (NoticeCase::cases() as $case) {
            self::assertSame($case->canSendToSignIn() ? 401 : 403, $case->status(), $case->value);
        }
    }

    #[DataProvider('patterns')]
    public function test_placeholders_are_filled_in(string $pattern, string $heading): void
    {
        $words = new Placeholders(['title' => 'Tuning {name}', 'name' => 'Eira', 'opens' => '']);
        self::assertSame($heading, $words->heading($pattern));
    }

    /** @return array<string, array{string, string}> */
    public static function patterns(): array
    {
        return [
            'none' => ['Not yet', 'Not yet'],
            'one' => ['Dear {name}', 'Dear Eira'],
            'what stands in another is not filled in again' => ['{title}', 'Tuning {name}'],
            'where nothing is known' => ['It opens {opens}', 'It opens later'],
            'what was never told' => ['Ask {contact}', 'Ask the school'],
            'what stands for nothing' => ['{nmae} {}', '{nmae} {}'],
            'braces about braces' => ['{{name}}', '{Eira}'],
        ];
    }

    /** @param  list<string>  $unknown */
    #[DataProvider('unknown')]
    public function test_what_stands_for_nothing_is_named(string $pattern, array $unknown): void
    {
        self::assertSame($unknown, Placeholders::unknownIn($pattern));
    }

    /** @return list<array{string, list<string>}> */
    public static function unknown(): array
    {
        return [['', []], ['{name} {title}', []], ['{nmae}', ['nmae']], ['{nmae} {nmae} {x y}', ['nmae', 'x y']], ['{}', ['']], ['{ name }', [' name ']], ['{NAME}', ['NAME']], ['a { b', []]];
    }

    public function test_a_statement_is_read_as_far_as_it_is_believed(): void
    {
        $id = '6F1DD5BA-45F8-4C62-9C5C-5C0A3A5B0E11';
        $json = json_encode(['id' => $id, 'verb' => ['id' => 'https://w3id.org/xapi/video/verbs/paused'], 'object' => ['id' => 'https://alder.test/courses/clinker/l%20steam'], 'result' => ['completion' => true, 'extensions' => ['https://w3id.org/xapi/video/extensions/played-segments' => '0[.]5[,]7[.]9', 'https://w3id.org/xapi/video/extensions/progress' => 1]]]);
        [$one] = Statement::readAll((string) $json, ['/courses/clinker/l steam']);

        self::assertSame(strtolower($id), $one->id);
        self::assertSame('0[.]5[,]7[.]9', $one->text);
        self::assertEquals([[0.0, 5.0], [7.0, 9.0]], WatchedStretches::none(10)->with($one->played)->segments);
        self::assertCount(2, Statement::readAll("[{$json},{$json}]", []));
        self::assertSame([], Statement::readAll('[]', []));
    }

    #[DataProvider('files')]
    public function test_a_file_is_taken_for_what_is_in_it(string $content, string $kind, string $type): void
    {
        $path = tempnam(sys_get_temp_dir(), 'silent-keep-');
        self::assertIsString($path);
        try {
            file_put_contents($path, $content);
            $taken = MediumType::of($path);
            self::assertSame([$kind, $type], [$taken->kind, $taken->type]);
        } finally {
            unlink($path);
        }
    }

    /** @return array<string, array{string, string, string}> */
    public static function files(): array
    {
        $demo = static fn (string $name): string => (string) file_get_contents(dirname(__DIR__, 2)."/database/demo/media/{$name}");
        $file = ['file', 'application/octet-stream'];

        return [
            'a picture' => [$demo('strakes.png'), 'image', 'image/png'],
            'a GIF' => ["GIF89a\x01\0\x01\0\x80\0\0\0\0\0\xff\xff\xff!\xf9\x04\x01\0\0\0\0,\0\0\0\0\x01\0\x01\0\0\x02\x02D\x01\0;", 'image', 'image/gif'],
            'a recording' => [$demo('mallet.ogg'), 'audio', 'audio/ogg'],
            'a video' => [$demo('bending.webm'), 'video', 'video/webm'],
            'nothing' => ['', ...$file],
            'words' => ['Gloves', ...$file],
            'a page' => ['<!doctype html><script>alert(1)</script>', ...$file],
            'a drawing that can hold scripts' => ['<svg xmlns="http://www.w3.org/2000/svg"><script/></svg>', ...$file],
            'a program' => ['<?php system($_GET[0]);', ...$file],
            'a script' => ["#!/bin/sh\nrm -rf /", ...$file],
            'a picture that ends as a page' => ["\x89PN<script>alert(1)</script>", ...$file],
            'a document' => ["%PDF-1.7\n1 0 obj\n", ...$file],
        ];
    }
}
