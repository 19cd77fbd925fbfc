<?php

declare(strict_types=1);

namespace App\Pages\Offers;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Access\Viewers;
use App\Checks\CourseFindings;
use App\Database\Value;
use App\Drafts\Edits\SetOffer;
use App\Models\Bundle;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Document\DocumentLasts;
use App\Models\Document\DocumentOffer;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Purchase;
use App\Offers\Sales\Prices;
use App\Offers\TermsWords;
use App\Pages\Courses\HoldersNow;
use App\Pages\Workspace\SightlinesPageBuilder;
use App\Sightlines\Vantages\RulesVersion;
use App\Words\FindingWords;
use App\Words\RuleWords;
use App\Words\Say;
use App\Words\Sentence;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Foresight\DatesForPass;
use SilentKeep\Core\Foresight\NewPass;
use SilentKeep\Core\Foresight\Reaching;
use SilentKeep\Core\Outline\Outline;

/** Puts together what an administrator sees of offers. */
final readonly class OffersPageBuilder
{
    /** How many courses are on one page. */
    private const COURSES = 10;

    public function __construct(private Plans $plans, private SchoolClock $clock, private CourseFindings $findings, private TermsWords $terms, private HoldersNow $holders, private CourseShelf $shelf)
    {
    }

    public function ofCourse(Course $course, string $key): ?Offer
    {
        return Offer::query()->where('course_id', $course->id)->where('key', $key)->first();
    }

    /**
     * @param  int  $page  from 1
     * @param  string  $course  key of one that is to be on it, whichever page that is; '' for none
     */
    public function page(bool $mayRun, int $page, string $course): OffersPage
    {
        $holders = $this->holders->byOffer();
        $all = Offer::query()->orderBy('id')->get();
        $offers = $all->groupBy('course_id');
        $names = $all->pluck('name', 'key')->map(static fn (mixed $name): string => is_string($name) ? $name : '')->all();
        $taken = Pass::query()->whereIn('offer_id', $all->whereNotNull('most')->pluck('id')->all())->where('state', '!=', 'revoked')->groupBy('offer_id')->selectRaw('offer_id, count(distinct person_id) as taken')->pluck('taken', 'offer_id')->map(Value::int(...))->all();
        $courses = [];
        $keys = Course::query()->orderBy('id')->pluck('key', 'id');
        $pages = max(1, (int) ceil($keys->count() / self::COURSES));
        $of = $keys->values()->search($course, true);
        $page = min($pages, max(1, is_int($of) ? 1 + intdiv($of, self::COURSES) : $page));
        $shown = Course::query()->with(['liveRevision', 'draft'])->whereKey($keys->keys()->slice(($page - 1) * self::COURSES, self::COURSES)->values()->all())->orderBy('id')->get();
        $this->findings->prepare(array_values($shown->all()));
        foreach ($shown as $course) {
            $courses[] = $this->course($course, array_values(($offers->get($course->id) ?? collect())->all()), $holders, fn (Offer $offer): array => $this->terms->of($offer, $names, $taken[$offer->id] ?? 0));
        }

        $choices = array_values($all->map(fn (Offer $offer): OfferChoice => new OfferChoice($offer->key, $offer->name, $this->shelf->title($offer->course_id) ?: Value::text($keys->get($offer->course_id))))->all());

        return new OffersPage($courses, $this->bundles(), $choices, $page, $pages, $mayRun);
    }

    /** @return list<BundleRow> */
    private function bundles(): array
    {
        $bought = Purchase::query()->whereNotNull('bundle_id')->where('state', '!=', 'refunded')->groupBy('bundle_id')->selectRaw('bundle_id, count(*) as bought')->pluck('bought', 'bundle_id')->map(Value::int(...))->all();
        $rows = [];
        foreach (Bundle::query()->with('offers.course')->orderBy('id')->get() as $bundle) {
            $rows[] = new BundleRow(
                $bundle->id, $bundle->key, $bundle->name, $bundle->price === null ? null : $bundle->price / 100, $bundle->currency,
                $bundle->price === null ? Say::text('pages.offers_page_builder.not_sold') : Prices::words($bundle->price, $bundle->currency, $bundle->every), $bundle->every?->value,
                Value::texts($bundle->offers->pluck('key')), Value::texts($bundle->offers->pluck('name')), $bought[$bundle->id] ?? 0,
            );
        }

        return $rows;
    }

    /**
     * @param  list<Offer>  $offers
     * @param  array<array-key, int>  $holders  by offer
     * @param  \Closure(Offer): list<string>  $terms  who may take it, in words
     */
    private function course(Course $course, array $offers, array $holders, \Closure $terms): CourseOffers
    {
        $document = $this->plans->named(SightlinesPageBuilder::seen($course, RulesVersion::Draft));
        $published = $course->draft === null ? $document : ($course->liveRevision === null ? null : CourseDocument::fromJson($course->liveRevision->document));
        $decider = $this->plans->of($document);
        $outline = $decider->course->outline;
        $tops = array_values(array_filter(array_keys($outline->items), static fn (int $at): bool => $outline->parent[$at] === Outline::TOP && self::lessons($outline, $at) !== []));
        $rows = [];
        foreach ($document->readOffers() as $offer) {
            $model = null;
            foreach ($offers as $one) {
                $model = $one->key === $offer->key() ? $one : $model;
            }
            $core = $decider->prepared->plan->offer($offer->key());
            if ($model !== null && $core !== null) {
                $reached = (new DatesForPass($decider->prepared))->reached($core, NewPass::of($core, $this->clock->now(), [], $decider->prepared, $decider->prepared->plan->zone), []);
                $rows[] = $this->row($model, $offer, self::published($published, $model->key), $holders[$model->id] ?? 0, array_map(static fn (int $top): ModuleReach => self::opens($outline, $reached, $top), $tops), $terms($model));
            }
        }

        return new CourseOffers(
            key: $course->key,
            title: $document->title(),
            version: $course->draft->version ?? 0,
            draft: $course->draft !== null,
            modules: array_map(static fn (int $at): string => $outline->items[$at]->title ?? $outline->items[$at]->key, $tops),
            offers: $rows,
            tiers: $decider->course->tiers,
            plans: array_map(strval(...), array_keys($decider->course->plans)),
            findings: $this->findings($course, $document, $decider),
        );
    }

    /** @return list<Sentence> what is found in how the course is sold */
    private function findings(Course $course, CourseDocument $document, Decider $decider): array
    {
        $words = new FindingWords($decider->course, $this->clock->words(...));

        return array_map($words->what(...), array_values(array_filter($this->findings->open($course, $document), static fn (Finding $finding): bool => $finding->kind->isOfSelling())));
    }

    /** @return list<int> published lessons at an item or inside it */
    private static function lessons(Outline $outline, int $at): array
    {
        $lessons = [];
        for ($inside = $at; $inside < $outline->end[$at]; $inside++) {
            if ($outline->isPublishedLesson($inside)) {
                $lessons[] = $inside;
            }
        }

        return $lessons;
    }

    /** @param  list<bool>  $reached  by whoever takes the offer now and has no label of their own, by position */
    private static function opens(Outline $outline, array $reached, int $top): ModuleReach
    {
        $lessons = self::lessons($outline, $top);

        return new ModuleReach(count(array_filter($lessons, static fn (int $lesson): bool => $reached[$lesson])), count($lessons));
    }

    private static function published(?CourseDocument $live, string $key): ?DocumentOffer
    {
        foreach ($live?->readOffers() ?? [] as $offer) {
            if ($offer->key() === $key) {
                return $offer;
            }
        }

        return null;
    }

    /**
     * @param  ?DocumentOffer  $live  as it is published; null: it is not
     * @param  list<ModuleReach>  $opens
     * @param  list<string>  $terms
     */
    private function row(Offer $model, DocumentOffer $offer, ?DocumentOffer $live, int $holders, array $opens, array $terms): OfferRow
    {
        $lasts = $offer->lasts();

        return new OfferRow(
            $model->id, $model->key, $model->name,
            $model->price === null ? null : $model->price / 100, $model->currency,
            match ($model->price) {
                null => Say::text('pages.offers_page_builder.not_sold'),
                0 => 'free',
                default => Prices::words($model->price, $model->currency, $model->every),
            },
            implode(', ', $offer->labels()), $model->trial, $model->erases,
            $offer->tier(), $offer->plan(), $offer->scope(),
            $lasts?->days() !== null ? 'days' : ($lasts?->until() !== null ? 'until' : 'good'), $lasts?->days(), $lasts?->until(),
            RuleWords::lasts($lasts), $holders, $live !== null, $opens,
            edited: $live === null ? [] : array_values(array_filter(['tier', 'plan', 'scope', 'lasts', 'labels'], static fn (string $field): bool => $offer->differsIn($live, $field))),
            terms: $terms,
            again: $model->again->value,
            notAfter: $model->not_after,
            notAfterCourse: $model->not_after_course,
            onlyLabel: $model->only_label,
            most: $model->most,
            soldFrom: $model->sold_from === null ? null : $this->clock->wall($model->sold_from->getTimestamp()),
            soldUntil: $model->sold_until === null ? null : $this->clock->wall($model->sold_until->getTimestamp()),
            every: $model->every?->value,
            upgradePrice: $model->upgrade_price === null ? null : $model->upgrade_price / 100,
        );
    }

    /** What learners would reach in the days of a trial that began now: one who finishes nothing, and one who finishes all at once. */
    public function trial(Course $course, int $days, ?string $tier, ?string $plan): TrialPreview
    {
        $copy = SightlinesPageBuilder::seen($course, RulesVersion::Draft)->copy();
        (new SetOffer('trial-preview', 'Trial', $tier, $plan, null, DocumentLasts::from(['days' => $days])))->applyTo($copy);
        $decider = $this->plans->of($copy);
        $offer = $decider->prepared->plan->offer('trial-preview') ?? throw new \LogicException('The offer was added just now.');
        $now = $this->clock->now();
        $viewer = Viewers::holderOf($offer, $now, $decider->prepared->plan->zone);
        $until = $viewer->passes[0]->until;
        $reach = (new Reaching($decider))->reach($viewer, $now, $until);
        $lazy = $diligent = [];
        $lessons = 0;
        foreach ($decider->course->outline->items as $at => $item) {
            if (! $decider->course->outline->isPublishedLesson($at)) {
                continue;
            }
            $lessons++;
            $opens = $reach->open[$at];
            if ($opens === null) {
                continue;
            }
            $byTime = $decider->snapshot($viewer, max($opens, $now))->standings[$at]->isOpen();
            $byTime ? $lazy[] = $item->title ?? $item->key : $diligent[] = $item->title ?? $item->key;
        }

        return new TrialPreview($lazy, $diligent, $lessons, $this->clock->words($until));
    }
}
