<?php

declare(strict_types=1);

namespace Tests\Notices;

use App\Models\CourseDocument;
use App\Models\Pass;
use App\Models\Revision;
use App\Notices\NoticeCase;
use Tests\Factories\ObserverTieFactory;

/** A closed door of every kind, each at a school in which it is one. */
trait ClosedDoors
{
    /** @return array<string, array{NoticeCase, ?string, string, ?string, 4?: \Closure(self): void}> kind, who, course/item, an offer of which they hold or held a pass, what is so besides */
    public static function doors(): array
    {
        $rules = static fn (\Closure $change): \Closure => static fn (self $test) => $test->change($change);

        return [
            'a visitor' => [NoticeCase::Unknown, null, 'clinker/l-planes', null],
            'a visitor at a sample' => [NoticeCase::Account, null, 'clinker/l-welcome', null, $rules(static function (\stdClass $course): void {
                $course->sample_needs_account = true;
            })],
            'a member' => [NoticeCase::NoPass, 'jonas', 'clinker/l-planes', null],
            'another tier' => [NoticeCase::OtherTier, 'ragna', 'clinker/l-advanced', 'apprentice-pass'],
            'another part' => [NoticeCase::OtherPart, 'per', 'clinker/l-garboard', 'tools-only'],
            'other people' => [NoticeCase::OtherPeople, 'ragna', 'clinker/l-launch', 'apprentice-pass', $rules(static function (\stdClass $course): void {
                self::item($course, 'm-finish')->only = (object) ['label' => 'nobody'];
            })],
            'too early' => [NoticeCase::TooEarly, 'sunniva', 'clinker/l-planes', 'apprentice-pass'],
            'a pass that begins later' => [NoticeCase::TooEarly, 'birk', 'clinker/l-planes', 'apprentice-pass'],
            'by hand' => [NoticeCase::Held, 'ragna', 'clinker/l-garboard', 'apprentice-pass', $rules(static function (\stdClass $course): void {
                self::member(self::member($course, 'plans'), 'weekly')->{'l-garboard'} = (object) ['opens' => (object) ['rule' => 'held']];
            })],
            'something first' => [NoticeCase::FinishFirst, 'eira', 'clinker/l-timber', 'apprentice-pass'],
            'something first that is hidden' => [NoticeCase::FinishFirst, 'eira', 'clinker/l-steam', 'apprentice-pass', $rules(static function (\stdClass $course): void {
                self::item($course, 'l-timber')->when_closed = 'hide';
            })],
            'never to be finished' => [NoticeCase::Stuck, 'ragna', 'clinker/l-garboard', 'apprentice-pass', $rules(static function (\stdClass $course): void {
                self::member(self::member($course, 'plans'), 'weekly')->{'l-steam'} = (object) ['opens' => (object) ['rule' => 'held']];
            })],
            'ended' => [NoticeCase::Ended, 'gro', 'clinker/l-planes', 'apprentice-pass'],
            'paused' => [NoticeCase::Paused, 'liv', 'clinker/l-planes', 'apprentice-pass'],
            'withdrawn' => [NoticeCase::Withdrawn, 'liv', 'clinker/l-planes', 'apprentice-pass', static function (self $test): void {
                Pass::query()->where('person_id', $test->person('liv')->id)->update(['state' => 'revoked']);
            }],
            'closed again' => [NoticeCase::Closed, 'embla', 'winter-refit/l-scrape', null],
            'a guest' => [NoticeCase::NoGuests, null, 'clinker/l-planes', null, static function (self $test): void {
                $test->course()->update(['guest_token' => str_repeat('a', 32)]);
                $cookie = $test->get('/g/'.str_repeat('a', 32))->getCookie('guest-'.$test->course()->id);
                $test->withCookie((string) $cookie?->getName(), (string) $cookie?->getValue());
            }],
            'an observer' => [NoticeCase::NoObservers, 'jonas', 'clinker/l-launch', null, static function (self $test): void {
                ObserverTieFactory::new()->between($test->person('jonas'), $test->person('ragna'))->createOne();
                $test->actingAs($test->person('jonas'))->post('/look-with', ['learner' => $test->person('ragna')->id]);
            }],
            'a season to come' => [NoticeCase::CourseNotOpen, 'ragna', 'clinker/l-planes', 'apprentice-pass', $rules(static function (\stdClass $course): void {
                $course->opens = '2026-12-01T09:00';
            })],
            'a season that is over' => [NoticeCase::CourseOver, 'ragna', 'clinker/l-planes', 'apprentice-pass', $rules(static function (\stdClass $course): void {
                $course->closes = '2026-03-01T09:00';
            })],
            'retired' => [NoticeCase::CourseRetired, 'jonas', 'petrol/l-winter', null],
        ];
    }

    /** @param  \Closure(\stdClass): void  $change  of the course as it is published */
    private function change(\Closure $change): void
    {
        $revision = Revision::query()->findOrFail($this->course()->live_revision_id);
        $document = CourseDocument::fromJson($revision->document);
        $change($document->raw());
        Revision::query()->whereKey($revision->id)->update(['document' => $document->toJson()]);
        $this->nothingIsKept();
        $this->inAnotherProcess();
    }

    private static function member(\stdClass $of, string $name): \stdClass
    {
        $member = $of->{$name} ?? null;
        assert($member instanceof \stdClass);

        return $member;
    }

    private static function item(\stdClass $in, string $key): \stdClass
    {
        foreach ((array) ($in->items ?? []) as $item) {
            assert($item instanceof \stdClass);
            if ($item->key === $key) {
                return $item;
            }
            foreach ((array) ($item->items ?? []) as $inner) {
                if ($inner instanceof \stdClass && $inner->key === $key) {
                    return $inner;
                }
            }
        }
        self::fail($key);
    }
}
