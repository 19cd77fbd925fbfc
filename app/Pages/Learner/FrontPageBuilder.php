<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use App\Access\SchoolClock;
use App\Access\SchoolOf;
use App\Access\Viewers;
use App\Database\Value;
use App\Front\CourseSizes;
use App\Front\Covers;
use App\Front\FrontPrice;
use App\Front\FrontPrices;
use App\Front\ShownCover;
use App\Front\Sizes;
use App\Front\Takes;
use App\Learning\CourseSummaries;
use App\Learning\CourseSummary;
use App\Models\Course;
use App\Models\CourseFace;
use App\Models\Person;
use App\Models\School;
use App\Offers\Sales\Prices;
use App\School\Pictures\Pictures;
use App\Words\Say;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Entry;

/** The front of the school, as somebody or anybody meets it, and what of it other pages name. */
final readonly class FrontPageBuilder
{
    /** So many courses are named at the end of another. */
    private const INSTEAD = 6;

    /** So many courses are shown at once. */
    private const TOGETHER = 96;

    public function __construct(private CourseSummaries $summaries, private MyCoursesBuilder $mine, private FrontPrices $prices, private Sizes $sizes, private Covers $covers, private Pictures $pictures, private SchoolOf $school, private SchoolClock $clock)
    {
    }

    /**
     * What the public may know of: what is given; and beside it what is over, of what was retired that which is still to be named.
     *
     * @param  string  $subject  to which very many are narrowed; few are all sent, and narrowed where they are shown
     * @param  int  $page  of very many, from 1
     */
    public function front(?Person $person = null, string $subject = '', int $page = 1): FrontPage
    {
        $given = $over = [];
        $public = $this->publicSummaries();
        $rows = Course::query()->toBase()->select('id', 'subject', 'listed_over')->whereIntegerInRaw('id', array_keys($public))->get()->keyBy('id');
        foreach ($public as $id => $summary) {
            if (! $summary->isOver) {
                $given[$id] = $summary;
            } elseif ($summary->state === CourseState::Live || (bool) ($rows[$id]->listed_over ?? false)) {
                $over[] = new OtherCourse($summary->key, $summary->title, '');
            }
        }
        $subjects = array_map(static fn (int $id): string => (string) ($rows[$id]->subject ?? ''), array_combine(array_keys($given), array_keys($given)));
        $named = self::named($subjects);
        $part = null;
        if (count($given) > self::TOGETHER) {
            $subject = in_array($subject, $named, true) ? $subject : '';
            $narrowed = $subject === '' ? $given : array_intersect_key($given, array_filter($subjects, static fn (string $of): bool => $of === $subject));
            $pages = max(1, (int) ceil(count($narrowed) / self::TOGETHER));
            $page = min($pages, max(1, $page));
            $given = array_slice($narrowed, ($page - 1) * self::TOGETHER, self::TOGETHER, preserve_keys: true);
            $part = self::part($subject, $page, $pages, count($given), count($narrowed));
        }
        $school = ($this->school)();

        return new FrontPage(
            $school->front_title === '' ? $school->name : $school->front_title,
            $school->front_text,
            $this->picture($school),
            $named,
            $this->cards($given, $subjects, $person),
            $over,
            $part,
        );
    }

    private static function part(string $subject, int $page, int $pages, int $shown, int $of): FrontPart
    {
        $address = static fn (int $page): string => route('home', array_filter(['subject' => $subject, 'page' => $page > 1 ? $page : null]), false);
        $first = ($page - 1) * self::TOGETHER + 1;

        return new FrontPart(
            $subject, Say::text('front.part.told', ['first' => $first, 'last' => $first + $shown - 1, 'of' => $of]),
            $page > 1 ? $address($page - 1) : null, Say::text('front.part.earlier'), $page < $pages ? $address($page + 1) : null, Say::text('front.part.later'),
        );
    }

    private function picture(School $school): ?ShownCover
    {
        $picture = $school->front_picture === '' ? null : $this->pictures->find($school->front_picture);

        return $picture === null ? null : new ShownCover($picture->address, $picture->sources, $picture->title, "{$school->front_focus_x}% {$school->front_focus_y}%");
    }

    /**
     * @param  array<int, string>  $subjects
     * @return list<string> each once, as they come
     */
    private static function named(array $subjects): array
    {
        return array_values(array_unique(array_filter($subjects, static fn (string $subject): bool => $subject !== '')));
    }

    /**
     * @param  array<int, CourseSummary>  $given  by the course's id
     * @param  array<int, string>  $subjects
     * @return list<FrontCourse>
     */
    private function cards(array $given, array $subjects, ?Person $person): array
    {
        $ids = array_keys($given);
        $faces = CourseFace::query()->whereIntegerInRaw('course_id', $ids)->get()->keyBy('course_id')->all();
        $covers = $this->covers->all($faces, Course::query()->whereIntegerInRaw('id', $ids)->pluck('key', 'id')->map(Value::text(...))->all());
        $sizes = $this->sizes->all($ids);
        $prices = $this->prices->all($ids);
        $own = $person === null ? [] : $this->mine->summaries($person, null);
        $cards = [];
        foreach ($given as $id => $summary) {
            $face = $faces[$id] ?? new CourseFace;
            $mine = isset($own[$id]) && $own[$id]->pass !== null ? $own[$id] : null;
            [$act, $href] = $this->act($summary, $mine, $face);
            $cards[] = new FrontCourse(
                $summary->key, $summary->title, $face->sentence, $subjects[$id], $covers[$id],
                $this->takes($summary, $sizes[$id], $prices[$id]),
                $mine !== null,
                $mine === null ? $this->price($summary, $prices[$id]) : Say::text('front.price.mine', ['finished' => $mine->finished, 'lessons' => $mine->lessons]),
                Say::text("front.act.{$act}"), $href,
            );
        }

        return $cards;
    }

    private function takes(CourseSummary $summary, CourseSizes $sizes, FrontPrice $price): string
    {
        $size = $sizes->together($summary->known);
        $takes = Takes::lessons($summary->lessons, $size->films, 0, $size->minutes);
        $pace = match (true) {
            $summary->opens !== null => Say::text('front.pace.opens', ['date' => $this->clock->date($summary->opens)]),
            $price->pace !== null => $price->pace,
            $summary->entry === Entry::Anyone && $summary->open === $summary->lessons => Say::text('front.pace.at_once'),
            default => null,
        };

        return $pace === null ? $takes : Say::text('front.takes.paced', ['takes' => $takes, 'pace' => $pace]);
    }

    private function price(CourseSummary $summary, FrontPrice $price): string
    {
        return match (true) {
            $summary->entry === Entry::Anyone => Say::text('front.price.free'),
            $price->cents !== null => $price->several && $price->cents > 0 ? Say::text('front.price.from', ['price' => Prices::words($price->cents, $price->currency, $price->every)]) : Prices::words($price->cents, $price->currency, $price->every),
            $summary->entry === Entry::Invite => Say::text('front.price.invite'),
            $price->soldFrom !== null => Say::text('front.price.later', ['date' => $this->clock->date($price->soldFrom)]),
            default => Say::text('front.price.none'),
        };
    }

    /** @return array{string, string} what is to be done next, and where */
    private function act(CourseSummary $summary, ?CourseSummary $mine, CourseFace $face): array
    {
        $course = route('course', $summary->key, false);
        $asked = $face->contact_email ?? ($this->school)()->contact_email;

        return match (true) {
            $mine !== null => ['go_on', $course],
            $summary->entry === Entry::Anyone && $summary->sample !== null => ['start', $course],
            $summary->sample !== null => ['look', route('lesson', [$summary->key, $summary->sample], false)],
            $summary->opens !== null => ['season', $course],
            $summary->entry === Entry::Invite && $asked !== null => ['ask', "mailto:{$asked}"],
            default => ['see', $course],
        };
    }

    /** @return list<OtherCourse> where to go instead of a course that is over: those of its subject; where it has none, or is the only one, any */
    public function insteadOf(Course $course): array
    {
        $like = $course->subject === '' ? null : Course::query()->where('subject', $course->subject)->pluck('id')->flip();
        $any = $same = [];
        foreach ($this->publicSummaries() as $id => $summary) {
            if ($summary->isOver || $id === $course->id) {
                continue;
            }
            $any[$id] = $summary;
            if ($like?->has($id) === true) {
                $same[$id] = $summary;
            }
        }
        $named = array_slice($same === [] ? $any : $same, 0, self::INSTEAD, preserve_keys: true);
        $prices = $named === [] ? [] : $this->prices->all(array_keys($named));

        return array_map(fn (int $id): OtherCourse => new OtherCourse($named[$id]->key, $named[$id]->title, $this->price($named[$id], $prices[$id])), array_keys($named));
    }

    /** @return array<int, CourseSummary> by the course's id */
    private function publicSummaries(): array
    {
        return array_filter($this->summaries->all(static fn (array $courses): array => array_fill_keys($courses, Viewers::visitor()), 0), static fn (CourseSummary $summary): bool => $summary->visible);
    }
}
