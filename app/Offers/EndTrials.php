<?php

declare(strict_types=1);

namespace App\Offers;

use App\Access\SchoolAddress;
use App\Access\SchoolClock;
use App\Access\SchoolOf;
use App\Access\Shelf\CourseShelf;
use App\Database\Hand;
use App\Database\Value;
use App\Models\Completion;
use App\Models\Erasure;
use App\Models\ItemVisit;
use App\Models\Pass;
use App\Models\QuizTry;
use App\Models\WatchRecord;
use App\School\Letters\InTheirLanguage;
use App\School\Letters\LetterKind;
use App\School\Letters\LetterTo;
use App\School\Letters\WriteLetters;
use App\School\Log\ActivityLog;
use App\Words\Say;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Warns before passes end that erase, and erases what was finished once their grace is over. Each is done once, however
 * often and however late this runs: nobody's progress goes before the grace is over, which counts from the warning where
 * that came after the end. Who wants no warning, or is at a school that writes none, gets none.
 */
final readonly class EndTrials
{
    public function __construct(private SchoolClock $clock, private SchoolOf $school, private CourseShelf $shelf, private WriteLetters $write, private ActivityLog $log, private InTheirLanguage $language)
    {
    }

    /**
     * @param  bool  $dry  only tells what it would do
     * @return list<string> what was done, in words
     */
    public function __invoke(bool $dry = false): array
    {
        $done = [];
        foreach ([[$this->toWarn(), $this->warn(...)], [$this->toErase(), $this->erase(...)]] as [$query, $act]) {
            // By their numbers, so that what is done does not move what is still to come.
            foreach ($query->pluck('passes.id') as $id) {
                $told = Hand::writes(null, 'trial '.Value::int($id), fn (): ?string => DB::transaction(function () use ($id, $act, $dry): ?string {
                    $pass = Pass::query()->with(['offer', 'person'])->whereKey($id)->first();

                    return $pass === null ? null : $act($pass, $dry);
                }));
                if ($told !== null) {
                    $done[] = $told;
                }
            }
        }

        return $done;
    }

    /** @return Builder<Pass> */
    private function erasing(): Builder
    {
        return Pass::query()->whereRelation('offer', 'erases', true)->where('state', '!=', 'paused')->whereNotNull('ends_at')->whereNull('erased_at')->orderBy('passes.id');
    }

    /** @return Builder<Pass> */
    private function toWarn(): Builder
    {
        $until = $this->clock->plusDays($this->clock->now(), ($this->school)()->warn_days);

        return $this->erasing()->whereNull('warned_at')->where('ends_at', '<=', gmdate('Y-m-d H:i:s', $until));
    }

    /** @return Builder<Pass> */
    private function toErase(): Builder
    {
        return $this->erasing()->whereNotNull('warned_at')->where('ends_at', '<=', gmdate('Y-m-d H:i:s', $this->clock->now()));
    }

    /** Once somebody was told a day, it is that one. */
    private function due(Pass $pass, int $warned): int
    {
        return $pass->warned_at !== null && $pass->erases_at !== null ? $pass->erases_at->getTimestamp() : $this->clock->plusDays(max($pass->ends_at?->getTimestamp() ?? 0, $warned), ($this->school)()->grace_days);
    }

    private function warn(Pass $pass, bool $dry): string
    {
        $now = $this->clock->now();
        $end = $pass->ends_at?->getTimestamp() ?? $now;
        $words = $this->clock->words($end);
        $erases = $this->due($pass, $now);
        $due = $this->clock->words($erases);
        $course = $this->shelf->title($pass->course_id);
        if (! $dry) {
            $pass->update(['warned_at' => $now, 'erases_at' => $erases]);
            $written = ($this->write)(LetterKind::TrialEnds, [$this->language->say($pass->person, fn (): LetterTo => LetterTo::person($pass->person, [
                'course' => $course, 'offer' => $pass->offer->name, 'due' => $this->clock->words($erases), 'address' => SchoolAddress::of('course', $pass->offer->course->getRouteKey()),
                'ends' => Say::text($end > $now ? 'letters.trial.ends' : 'letters.trial.ended', ['at' => $this->clock->plain($end), 'zone' => $this->clock->zoneName()]),
            ], "trial-warning {$pass->id} {$end}"))]);
            $this->log->note('trial.warned', null, $pass->offer->course, $pass->person, after: ['offer' => $pass->offer->key, 'ends_at' => gmdate('Y-m-d H:i:s', $end), ...($written === 0 ? ['unwritten' => true] : [])]);
        }

        return "warned {$pass->person->address()}: {$pass->offer->name} of {$course} ends {$words}, erased {$due}";
    }

    private function erase(Pass $pass, bool $dry): ?string
    {
        $now = $this->clock->now();
        if ($this->due($pass, $pass->warned_at?->getTimestamp() ?? $now) > $now) {
            return null;
        }
        $course = $this->shelf->title($pass->course_id);
        if ($this->keptBy($pass)) {
            if (! $dry) {
                $pass->update(['erased_at' => $now]);
                $this->log->note('progress.kept', null, $pass->offer->course, $pass->person, after: ['offer' => $pass->offer->key]);
            }

            return "kept {$pass->person->address()}: another pass of {$course} keeps what was finished";
        }
        $completions = Completion::query()->where('person_id', $pass->person_id)->where('course_id', $pass->course_id);
        $items = Value::texts((clone $completions)->orderBy('completed_at')->pluck('item_key'));
        if (! $dry) {
            $completions->delete();
            ItemVisit::query()->where('person_id', $pass->person_id)->where('course_id', $pass->course_id)->delete();
            WatchRecord::query()->where('person_id', $pass->person_id)->where('course_id', $pass->course_id)->delete();
            QuizTry::query()->where('person_id', $pass->person_id)->where('course_id', $pass->course_id)->delete();
            Erasure::query()->create(['person_id' => $pass->person_id, 'course_id' => $pass->course_id, 'offer_key' => $pass->offer->key, 'what' => $items, 'erased_at' => $now]);
            $pass->update(['erased_at' => $now]);
            $this->log->note('progress.erased', null, $pass->offer->course, $pass->person, after: ['offer' => $pass->offer->key, 'items' => $items]);
        }

        return "erased {$pass->person->address()}: ".count($items)." finished in {$course}";
    }

    /** Another pass of the course that is not over, or whose offer keeps what was finished. */
    private function keptBy(Pass $pass): bool
    {
        $now = gmdate('Y-m-d H:i:s', $this->clock->now());

        return Pass::query()->where('person_id', $pass->person_id)->where('course_id', $pass->course_id)->whereKeyNot($pass->id)->where('state', '!=', 'revoked')
            ->where(fn (Builder $query) => $query->whereNull('ends_at')->orWhere('ends_at', '>', $now)->orWhereRelation('offer', 'erases', false))
            ->exists();
    }
}
