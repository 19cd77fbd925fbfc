<?php

declare(strict_types=1);

namespace App\Pages\Learner\Closed;

use App\Access\Viewers;
use App\Learning\LearnerView;
use App\Learning\LearnerViews;
use App\Learning\PathRow;
use App\Learning\Reading;
use App\Models\Course;
use App\Models\NoticeText;
use App\Models\Person;
use App\Notices\NoticeCase;
use App\Notices\Parts\ButtonDoes;
use App\Notices\Parts\Part;
use App\Notices\Parts\PartKind;
use App\Notices\Placeholders;
use App\Offers\Sales\OfferCard;
use App\Offers\Sales\Shop;
use App\Offers\Takers;
use App\School\Pictures\Pictures;

/** What stands on a notice for one viewer, in its order. What would lead nowhere for them is left out. */
final readonly class NoticePartsBuilder
{
    /** So many samples are named. */
    private const SAMPLES = 5;

    public function __construct(private LearnerViews $views, private Viewers $viewers, private Shop $shop, private Takers $takers, private Pictures $pictures)
    {
    }

    /**
     * @param  array<value-of<PartKind>, bool>  $stands  whether there is anything of what the program puts there
     * @return list<NoticePart>
     */
    public function of(Course $course, LearnerView $view, string $item, NoticeCase $case, ?NoticeText $own, Placeholders $words, Reading $reading, array $stands): array
    {
        $parts = [];
        $first = $case === NoticeCase::FinishFirst || $case === NoticeCase::TooEarly ? $view->firstSteps($item) : [];
        $written = Part::of($own);
        $sold = array_filter($written, static fn (Part $part): bool => $part->does === ButtonDoes::Offer->value) === [] ? [] : $this->sold($course, $view, $reading);
        $pictures = $this->pictures->all(array_values(array_map(static fn (Part $part): string => $part->to, array_filter($written, static fn (Part $part): bool => $part->kind() === PartKind::Picture))));
        foreach ($written as $part) {
            $kind = $part->kind();
            $parts[] = match ($kind) {
                PartKind::Words => new NoticePart($kind->value),
                PartKind::Heading => $part->text === '' ? null : new NoticePart($kind->value, label: $words->heading($part->text)),
                PartKind::Text => $part->text === '' ? null : new NoticePart($kind->value, html: $words->html($part->text)),
                PartKind::Picture => isset($pictures[$part->to]) ? new NoticePart($kind->value, picture: $pictures[$part->to]) : null,
                PartKind::Button => $this->button($course, $view, $part, $words, $sold, $reading->person),
                PartKind::Finish => self::rows($kind, $first),
                PartKind::Samples => self::rows($kind, array_slice(array_values(array_filter($view->path->lessons(), static fn (PathRow $row): bool => $row->open && $row->look)), 0, self::SAMPLES)),
                default => ($stands[$kind->value] ?? false) ? new NoticePart($kind->value) : null,
            };
        }

        return array_values(array_filter($parts));
    }

    /** @param  array<PathRow>  $rows */
    private static function rows(PartKind $kind, array $rows): ?NoticePart
    {
        return $rows === [] ? null : new NoticePart($kind->value, rows: array_values($rows));
    }

    /**
     * Which of some buttons lead somewhere for a viewer.
     *
     * @param  array<int, Part>  $buttons
     * @return array<int, bool> by the same keys
     */
    public function leading(Course $course, LearnerView $view, array $buttons, Reading $reading): array
    {
        $sold = $this->sold($course, $view, $reading);

        return array_map(fn (Part $part): bool => $this->button($course, $view, $part, new Placeholders([]), $sold, $reading->person) !== null, $buttons);
    }

    /** @param  array<string, string>  $sold  addresses of offers, by key */
    private function button(Course $course, LearnerView $view, Part $part, Placeholders $words, array $sold, ?Person $person): ?NoticePart
    {
        $href = match ($part->does === null ? null : ButtonDoes::tryFrom($part->does)) {
            ButtonDoes::Lesson => $view->isOpen($part->to) ? route('lesson', [$course, $part->to], false) : null,
            ButtonDoes::Offer => $sold[$part->to] ?? null,
            ButtonDoes::Mail => 'mailto:'.rawurlencode($part->to),
            ButtonDoes::Address => str_starts_with($part->to, '/') ? ($this->leadsSomewhere($part->to, $person) ? $part->to : null) : $part->to,
            null => null,
        };

        return $href === null || $part->text === '' ? null : new NoticePart(PartKind::Button->value, label: $words->heading($part->text), href: $href);
    }

    /** @return array<string, string> addresses of the offers that they may take, by key */
    private function sold(Course $course, LearnerView $view, Reading $reading): array
    {
        if ($view->answer->viewer->staff || $view->answer->viewer->observes !== null) {
            return [];
        }

        return array_column(array_map(static fn (OfferCard $card): array => [$card->key, $card->href], $this->shop->offersOf($view->answer, $course, $this->takers->of($reading->person, $view->answer))), 1, 0);
    }

    /**
     * Of a page of ours: courses and lessons by what this person may see of them, the others as they are.
     *
     * @param  ?Person  $person  null: anybody
     */
    public function leadsSomewhere(string $address, ?Person $person): bool
    {
        if (preg_match('~^/courses/([^/?#]+)(?:/([^/?#]+))?~', $address, $found) !== 1) {
            return true;
        }
        $course = Course::foundAt(rawurldecode($found[1]));
        $view = $course === null || $course->hidden ? null : $this->views->published($course, $this->viewers->of($person, $course));

        return $view !== null && $view->isVisible() && (! isset($found[2]) || $view->isOpen(rawurldecode($found[2])));
    }
}
