<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Access\Answer;
use App\Access\Plans;
use App\Access\SchoolClock;
use App\Models\Course;
use App\Models\NoticeText;
use App\Notices\NoticeCase;
use App\Notices\NoticeLevel;
use App\Notices\NoticeTexts;
use App\Notices\Parts\Part;
use App\Notices\Parts\PartKind;
use App\Offers\Sales\Shop;
use App\Offers\Takers;
use App\Pages\Workspace\SightlinesPageBuilder;
use App\Sightlines\Vantages\Look;
use App\Sightlines\Vantages\SeenFrom;
use App\Sightlines\Vantages\Vantage;
use App\Sightlines\Vantages\VantagePoint;
use App\Sightlines\Vantages\Vantages;
use App\Sightlines\Vantages\VantageWords;
use App\Words\ClosedWords;
use App\Words\Glyph;
use App\Words\Say;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\State;

/** Puts together which notice each vantage meets at each row. */
final readonly class NoticesLensBuilder
{
    public function __construct(
        private Plans $plans,
        private Vantages $vantages,
        private VantageWords $words,
        private SchoolClock $clock,
        private NoticeTexts $texts,
        private Shop $shop,
        private Takers $takers,
    ) {
    }

    public function grid(Course $course, Look $look): NoticesGrid
    {
        $decider = $this->plans->of(SightlinesPageBuilder::seen($course, $look->see));
        $now = $this->clock->now();
        // Whoever came to a door in the past met what stood there then: that is told of each of them, in their story.
        $at = max($look->at ?? $now, $now);
        $seen = $this->vantages->stand($course, $decider, array_slice($look->points ?? $this->usual($decider), 0, Vantages::MOST));
        $texts = $this->texts->within($course);
        $sights = $numbers = $columns = [];
        foreach ($seen as $one) {
            $column = [];
            foreach ($this->column($course, $decider, $one, $at, $texts) as $sight) {
                $column[] = $numbers[serialize($sight)] ??= array_push($sights, $sight) - 1;
            }
            $columns[] = $column;
        }

        return new NoticesGrid(
            at: $at,
            now: $now,
            see: $look->see->value,
            vantages: array_map(fn (SeenFrom $one): Vantage => $this->words->of($one, $decider), $seen),
            sights: $sights,
            cells: array_map(static fn (int $row): array => array_column($columns, $row), array_keys($decider->course->outline->items)),
        );
    }

    /**
     * Those of Sightlines, and whoever is known without a pass: they meet words of their own.
     *
     * @return list<VantagePoint>
     */
    private function usual(Decider $decider): array
    {
        [$visitor, $others] = [VantagePoint::visitor(), array_slice($this->vantages->usual($decider), 1)];

        return [$visitor, VantagePoint::member(), ...$others];
    }

    /**
     * @param  array<string, NoticeText>  $texts
     * @return list<NoticeSight> by position
     */
    private function column(Course $course, Decider $decider, SeenFrom $seen, int $at, array $texts): array
    {
        $clock = $this->clock->stoppedAt($at);
        $answer = $this->plans->ask($decider, $seen->viewer, $at);
        $own = $seen->viewer->observes === null ? $seen->person : null;
        $into = $seen->viewer->observes !== null || $seen->viewer->staff ? [] : $this->shop->waysInto($answer, $course, $this->takers->of($own, $answer), $own);
        $words = new ClosedWords($decider, $answer->snapshot(), $clock);
        $sights = [];
        foreach ($answer->decisions() as $position => $decision) {
            $sights[] = $decision->state === State::Locked
                ? $this->closed($course, $answer, $position, $decision, $texts, isset($into[$position]), $words)
                : new NoticeSight(Glyph::of($decision)->value, Glyph::looksOnly($decision), null, null, null, hasStep: true);
        }

        return $sights;
    }

    /** @param  array<string, NoticeText>  $texts */
    private function closed(Course $course, Answer $answer, int $position, Decision $decision, array $texts, bool $canTake, ClosedWords $words): NoticeSight
    {
        $case = NoticeCase::of($answer->told($position));
        $standing = $this->texts->at($course, $answer->decider->course->outline->keysUp($position), $answer->offersHeld(), $case, $texts)[0] ?? null;
        $opens = $decision->next?->state === State::Open ? $decision->next->at : null;
        $told = in_array($case, [NoticeCase::TooEarly, NoticeCase::FinishFirst, NoticeCase::CourseNotOpen], true) ? $words->placeholders($decision) : ['opens' => '', 'first' => ''];

        return new NoticeSight(
            Glyph::of($decision)->value,
            look: false,
            case: $case->value,
            word: $opens === null ? Say::text("cases.short.{$case->value}") : $this->clock->cellDate($opens),
            level: ($standing->level ?? NoticeLevel::Usual)->value,
            hasStep: $opens !== null || $told['opens'] !== '' || $told['first'] !== '' || self::leadsOn(Part::of($standing?->text), isOwn: $standing !== null, canTake: $canTake, canSignIn: $case->canSendToSignIn()),
        );
    }

    /** @param  list<Part>  $parts */
    private static function leadsOn(array $parts, bool $isOwn, bool $canTake, bool $canSignIn): bool
    {
        foreach ($parts as $part) {
            $leads = match ($part->kind()) {
                PartKind::Words, PartKind::Text, PartKind::Button => $isOwn,
                PartKind::Offers => $canTake,
                PartKind::SignIn => $canSignIn,
                default => false,
            };
            if ($leads) {
                return true;
            }
        }

        return false;
    }
}
