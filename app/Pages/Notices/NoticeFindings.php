<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Learning\LearnerViews;
use App\Models\Course;
use App\Models\NoticeText;
use App\Notices\NoticeCase;
use App\Notices\NoticePlace;
use App\Notices\NoticeTexts;
use App\Notices\Parts\Part;
use App\Notices\Parts\PartKind;
use App\Pages\Learner\Closed\NoticePartsBuilder;
use App\Pages\Workspace\SightlinesPageBuilder;
use App\Sightlines\Vantages\RulesVersion;
use App\Sightlines\Vantages\VantagePoint;
use App\Sightlines\Vantages\Vantages;
use App\Sightlines\Vantages\VantageWords;
use App\Words\RuleWords;
use App\Words\SafeText;
use App\Words\Say;
use SilentKeep\Core\Deciding\State;

/** What of a notice leads nowhere: buttons, asked of everybody of the usual vantages who meets it, and links in its texts. */
final readonly class NoticeFindings
{
    public function __construct(
        private Plans $plans,
        private Vantages $vantages,
        private VantageWords $words,
        private LearnerViews $views,
        private SchoolClock $clock,
        private NoticeTexts $texts,
        private NoticePartsBuilder $parts,
    ) {
    }

    /**
     * @param  ?NoticeCase  $case  null: of a notice that stands at doors of several kinds
     * @param  NoticeText  $notice  kept or typed
     * @return list<string> in sentences
     */
    public function of(NoticePlace $place, ?NoticeCase $case, NoticeText $notice): array
    {
        $parts = Part::of($notice);
        $findings = [];
        foreach ($this->links([$notice->text, ...array_map(static fn (Part $part): string => $part->kind() === PartKind::Text ? $part->text : '', $parts)]) as $link) {
            $findings[] = Say::text('pages.notices.findings.link', ['address' => $link]);
        }
        $buttons = self::buttons($notice);
        if ($buttons === []) {
            return $findings;
        }
        if ($place->course === null || $case === null) {
            $dead = array_filter($buttons, fn (Part $part): bool => str_starts_with($part->to, '/') && ! $this->parts->leadsSomewhere($part->to, null));

            return [...$findings, ...array_values(array_map(static fn (Part $part): string => Say::text('pages.notices.findings.stranger', ['button' => $part->text]), $dead))];
        }

        return [...$findings, ...$this->dead($place->course, $place, $case, $notice)];
    }

    /**
     * Buttons of a course's notices that are shown to nobody who meets them.
     *
     * @return list<string> in sentences
     */
    public function ofCourse(Course $course): array
    {
        $texts = $this->texts->within($course);
        $withButtons = array_values(array_filter($texts, static fn (NoticeText $text): bool => $text->course_id === $course->id && str_contains((string) $text->parts, '"button"')));
        $findings = [];
        foreach ($withButtons === [] ? [] : $this->met($course, $texts, $withButtons) as $index => [$meets, $without]) {
            foreach ($without as $button => $names) {
                if (count($names) === $meets) {
                    $findings[] = Say::text('pages.notices.findings.in_course', ['button' => Part::of($withButtons[$index])[$button]->text, 'who' => NoticeCase::tryFrom($withButtons[$index]->case)?->words() ?? '']);
                }
            }
        }

        return $findings;
    }

    /** @return list<string> */
    private function dead(Course $course, NoticePlace $place, NoticeCase $case, NoticeText $notice): array
    {
        $notice->forceFill(['scope' => $place->scope(), 'case' => $case->value]);
        $findings = [];
        foreach ($this->met($course, NoticeTexts::with($this->texts->within($course), $notice), [$notice]) as [$meets, $without]) {
            foreach ($without as $button => $names) {
                $said = Part::of($notice)[$button]->text;
                $findings[] = count($names) === $meets ? Say::text('pages.notices.findings.nobody', ['button' => $said]) : Say::text('pages.notices.findings.not_for', ['button' => $said, 'names' => RuleWords::enumeration($names, 'and')]);
            }
        }

        return $findings;
    }

    /**
     * Who of the usual vantages meets some notices, at the first such door of each.
     *
     * @param  array<string, NoticeText>  $texts  of the course
     * @param  list<NoticeText>  $notices  among them
     * @return array<int, array{int, array<int, list<string>>}> by their place in the list: how many meet it; the names of those for whom a button leads nowhere, by its place
     */
    private function met(Course $course, array $texts, array $notices): array
    {
        $decider = $this->plans->of(SightlinesPageBuilder::seen($course, RulesVersion::Draft));
        $met = [];
        foreach ($this->vantages->stand($course, $decider, [VantagePoint::visitor(), VantagePoint::member(), ...array_slice($this->vantages->usual($decider), 1)]) as $seen) {
            $view = $this->views->of($decider, $seen->viewer, $this->clock->stoppedAt($this->clock->now()));
            $held = $view->answer->offersHeld();
            $here = [];
            foreach ($view->answer->decisions() as $position => $decision) {
                $standing = $decision->state === State::Locked ? $this->texts->at($course, $decider->course->outline->keysUp($position), $held, NoticeCase::of($view->answer->told($position)), $texts)[0]->text ?? null : null;
                $index = $standing === null ? false : array_search($standing, $notices, true);
                if ($index === false || isset($here[$index])) {
                    continue;
                }
                $here[$index] = true;
                $met[$index] ??= [0, []];
                $met[$index][0]++;
                foreach ($this->parts->leading($course, $view, self::buttons($notices[$index]), ReadBy::vantage($seen, '')) as $button => $leads) {
                    if (! $leads) {
                        $met[$index][1][$button][] = $this->words->of($seen, $decider)->name;
                    }
                }
            }
        }

        return $met;
    }

    /** @return array<int, Part> by their place among the parts */
    private static function buttons(NoticeText $notice): array
    {
        return array_filter(Part::of($notice), static fn (Part $part): bool => $part->kind() === PartKind::Button && $part->text !== '' && $part->to !== '');
    }

    /**
     * Links to pages of ours that stand open to no stranger.
     *
     * @param  list<string>  $texts  Markdown
     * @return list<string>
     */
    private function links(array $texts): array
    {
        $dead = [];
        foreach ($texts as $text) {
            preg_match_all('~href="(/[^"/][^"]*)"~', $text === '' ? '' : SafeText::html($text), $found);
            array_push($dead, ...array_filter(array_map(html_entity_decode(...), $found[1]), fn (string $address): bool => ! $this->parts->leadsSomewhere($address, null)));
        }

        return array_values(array_unique($dead));
    }
}
