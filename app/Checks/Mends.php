<?php

declare(strict_types=1);

namespace App\Checks;

use App\Models\CourseDocument;
use App\Sightlines\Why\Fix;
use App\Sightlines\Why\FixKind;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Outline\Audience;

/** What would put a finding right in the draft, where one change of the rules does and is likely to be meant. */
final class Mends
{
    private function __construct()
    {
    }

    /** @return list<Fix> made together; none where somebody has to choose */
    public static function of(Finding $finding, CourseDocument $document): array
    {
        $first = array_slice($finding->items, 0, 1);

        return match ($finding->kind) {
            CheckKind::WaitsInCircle, CheckKind::WaitsForever => self::waits($document, $finding->items) === [] ? [] : [new Fix(FixKind::NothingFirst, [self::waits($document, $finding->items)[0]])],
            CheckKind::WaitsForNothing => [new Fix(FixKind::NothingFirst, $finding->items)],
            CheckKind::ConditionNeverHolds, CheckKind::WelcomeForFew => self::conditioned($document, $finding->items),
            CheckKind::ClosesBeforeOpening, CheckKind::ClosedToNewcomers => self::inPlans($finding, $document, FixKind::NeverCloses),
            CheckKind::FirstDayClosed => self::inPlans($finding, $document, FixKind::AtOnce),
            CheckKind::HoldsUpHolders => [new Fix(FixKind::Optional, array_slice($finding->items, 1, 1))],
            CheckKind::NewLessonLocks => [new Fix(FixKind::Optional, $first)],
            CheckKind::SoldByInvitation, CheckKind::SoldThoughOpen => [new Fix(FixKind::ByOffer)],
            CheckKind::PlanUnused => [new Fix(FixKind::NoPlan, plan: $finding->about[0] ?? null)],
            CheckKind::TierNotGiven => $finding->items === [] ? [] : [new Fix(FixKind::EveryPass, $finding->items)],
            CheckKind::SampleNoEffect => [new Fix(FixKind::NoSample, $finding->items)],
            CheckKind::SampleForNobody => [$document->read()->sampleNeedsAccount() ? new Fix(FixKind::SampleForVisitors) : new Fix(FixKind::NoSample, $finding->items)],
            CheckKind::PermissionBehindShutDoor => [new Fix($finding->about === [Audience::Guests->value] ? FixKind::OpenGuestDoor : FixKind::OpenObserverDoor)],
            default => [],
        };
    }

    /**
     * Those that name what comes before them.
     *
     * @param  list<string>  $items
     * @return list<string>
     */
    private static function waits(CourseDocument $document, array $items): array
    {
        return array_values(array_filter($items, static fn (string $key): bool => ($document->readItems()[$key] ?? null)?->after() !== null));
    }

    /**
     * @param  list<string>  $items
     * @return list<Fix>
     */
    private static function conditioned(CourseDocument $document, array $items): array
    {
        $with = array_values(array_filter($items, static fn (string $key): bool => ($document->readItems()[$key] ?? null)?->only() !== null));

        return $with === [] ? [] : [new Fix(FixKind::NoCondition, $with)];
    }

    /** @return list<Fix> one for each plan by which the offers go and which says something of it */
    private static function inPlans(Finding $finding, CourseDocument $document, FixKind $kind): array
    {
        $fixes = [];
        foreach ($document->readOffers() as $offer) {
            $plan = in_array($offer->key(), $finding->offers, true) ? $offer->plan() : null;
            if ($plan !== null) {
                $fixes[$plan] ??= new Fix($kind, $finding->items, $plan);
            }
        }

        return array_values($fixes);
    }
}
