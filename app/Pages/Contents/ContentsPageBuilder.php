<?php

declare(strict_types=1);

namespace App\Pages\Contents;

use App\Access\SchoolClock;
use App\Access\Shelf\CoursePick;
use App\Access\Shelf\CourseShelf;
use App\Access\Viewers;
use App\Learning\Contents\MediaAddresses;
use App\Learning\Contents\MediumType;
use App\Learning\Contents\Written;
use App\Learning\LearnerViews;
use App\Learning\Quizzes\Question;
use App\Learning\Quizzes\QuizRules;
use App\Models\Content;
use App\Models\ContentVersion;
use App\Models\Course;
use App\Models\Medium;
use App\Models\RelatedOffer;
use App\Offers\Sales\Shop;
use App\Offers\Takers;
use App\Pages\Workspace\SightlinesPageBuilder;
use App\Sightlines\Vantages\RulesVersion;
use App\Words\Say;
use Illuminate\Support\Collection;
use Illuminate\Support\Number;
use Illuminate\Support\Str;
use SilentKeep\Core\Outline\Item;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Rules\FinishedBy;

/** Puts together what an administrator writes into the lessons of a course. */
final readonly class ContentsPageBuilder
{
    /** So many earlier ones are named. */
    private const EARLIER = 12;

    public function __construct(private SchoolClock $clock, private SightlinesPageBuilder $sights, private MediaAddresses $addresses, private CourseShelf $shelf, private LearnerViews $views, private Shop $shop, private Takers $takers)
    {
    }

    /** Whether the outline has such an item, be it in the draft alone. */
    public function has(Course $course, string $item): bool
    {
        return $this->sights->decider($course, RulesVersion::Draft)->course->outline->positionOf($item) !== null;
    }

    /**
     * Null where there is no such item.
     *
     * @param  string  $bearer  for whom addresses of media are made
     */
    public function page(Course $course, ?string $item, string $bearer, bool $mayEdit): ?ContentsPage
    {
        $decider = $this->sights->decider($course, RulesVersion::Draft);
        $outline = $decider->course->outline;
        $position = $item === null ? null : $outline->positionOf($item);
        if ($item !== null && $position === null) {
            return null;
        }
        $contents = Content::query()->where('course_id', $course->id)->get()->keyBy('item_key');
        $media = Medium::query()->where('course_id', $course->id)->orderBy('position')->orderBy('id')->get()->groupBy('item_key');
        $rows = [];
        foreach ($outline->items as $at => $one) {
            $rows[] = new ContentRow($one->key, $one->title ?? $one->key, $one->kind->value, $outline->depth[$at], self::holds($contents[$one->key] ?? null, $media[$one->key] ?? new Collection));
        }
        $open = $position === null ? null : $outline->items[$position];

        return new ContentsPage(
            $course->key,
            $decider->course->title ?? $course->key,
            $rows,
            $open === null ? FaceFormBuilder::of($course) : null,
            $open === null ? null : $this->form($course, $open, $contents[$open->key] ?? null, $media[$open->key] ?? new Collection, $bearer),
            $mayEdit,
            $open === null || $open->kind === Kind::Lesson ? $this->related($course, $open->key ?? '') : null,
            array_values(array_filter($this->shelf->picks(), static fn (CoursePick $one): bool => $one->key !== $course->key)),
        );
    }

    private function related(Course $course, string $item): RelatedForm
    {
        $kept = RelatedOffer::query()->with('other.liveRevision')->where('course_id', $course->id)->where('item_key', $item)->first();
        // As a stranger would have it: whoever can be offered it at all.
        $there = $kept === null ? null : $this->views->published($kept->other, Viewers::visitor());
        $can = $there !== null && ! $kept->other->hidden && ! $there->answer->isOver() && $this->shop->offersOf($there->answer, $kept->other, $this->takers->of(null, $there->answer)) !== [];

        return new RelatedForm($item, $kept->other->key ?? '', $kept->heading ?? '', $kept->text ?? '', $kept->button ?? '', $kept->picture ?? '', $kept->version ?? 0, $kept === null || $can ? null : Say::text('pages.contents_page_builder.nothing_of_it_to_take', ['course' => $there?->title() ?? $kept->other->key]));
    }

    /** What is drafted is worked on; what is live stands in the lesson. */
    private static function worked(?Content $content): Written
    {
        return match (true) {
            $content === null => new Written(''),
            $content->drafted === null => Written::of($content),
            default => Written::from($content->drafted),
        };
    }

    /** @param  Collection<int, Medium>  $media */
    private static function holds(?Content $content, Collection $media): string
    {
        $written = self::worked($content);
        $count = static fn (int $count, string $one, string $many): ?string => $count === 0 ? null : ($count === 1 ? "1 {$one}" : "{$count} {$many}");
        $of = static fn (string $kind): int => $media->where('kind', $kind)->count();

        return implode(', ', array_filter([
            $written->board === null || $written->board === 'announcements' ? null : $written->board,
            trim($written->text) === '' ? null : 'text',
            $written->cover === null ? null : 'cover',
            $count($of('video'), 'video', 'videos'),
            $count($of('audio'), 'recording', 'recordings'),
            $count($of('image'), 'picture', 'pictures'),
            $count($of('file'), 'file', 'files'),
            $count(count($written->quiz), 'question', 'questions'),
        ]));
    }

    /** @return list<EarlierContent> */
    private function earlierOf(Course $course, string $item): array
    {
        $earlier = ContentVersion::query()->with('author')->where('course_id', $course->id)->where('item_key', $item)->orderByDesc('version')->limit(self::EARLIER)->get();

        return array_values($earlier->map(fn (ContentVersion $one): EarlierContent => new EarlierContent($one->id, $this->clock->words($one->replaced_at->getTimestamp()), $one->author->name ?? '', Str::limit(trim((string) preg_replace('/\s+/u', ' ', $one->written['text'])), 80)))->all());
    }

    /** Null where there is none. */
    public function earlier(Course $course, string $item, int $id): ?Written
    {
        $kept = ContentVersion::query()->where('course_id', $course->id)->where('item_key', $item)->find($id);

        return $kept === null ? null : Written::from($kept->written);
    }

    private static function rules(QuizRules $rules): QuizRulesForm
    {
        return new QuizRulesForm($rules->tries, $rules->wait, $rules->shuffle, array_map(static fn (array $band): QuizBand => new QuizBand($band['from'], $band['name'], $band['words']), $rules->bands));
    }

    /** @param  Collection<int, Medium>  $media */
    private function form(Course $course, Item $item, ?Content $content, Collection $media, string $bearer): ContentForm
    {
        $written = self::worked($content);
        $missing = match (true) {
            $item->finish?->by === FinishedBy::Watch && $media->where('kind', 'video')->isEmpty() => Say::text('pages.contents_page_builder.finished_by_watching_video'),
            $item->finish?->by === FinishedBy::Quiz && $written->quiz === [] => Say::text('pages.contents_page_builder.finished_by_quiz_and'),
            default => null,
        };

        return new ContentForm(
            $item->key,
            $item->title ?? $item->key,
            $item->kind->value,
            $written->text,
            $item->kind === Kind::Board ? $written->board ?? 'announcements' : '',
            array_map(static fn (Question $question): QuizEntry => new QuizEntry($question->kind->value, $question->ask, $question->answers, $question->right, $question->told, $question->within === 0.0 ? '' : (string) $question->within), array_map(Question::of(...), $written->quiz)),
            self::rules(QuizRules::of($written->rules)),
            array_values($media->map(fn (Medium $medium): ContentMedium => new ContentMedium(
                $medium->id,
                $medium->kind,
                $medium->title,
                implode(', ', array_filter([MediumType::WORDS[$medium->kind] ?? $medium->kind, (string) Number::fileSize($medium->bytes), $medium->seconds === null ? null : gmdate($medium->seconds >= 3600 ? 'G:i:s' : 'i:s', (int) round($medium->seconds))])),
                $this->addresses->of($medium, $bearer),
                $medium->poster === null ? null : $this->addresses->of($medium, $bearer, 'poster'),
                $medium->captions !== null,
                $medium->captions_language ?? 'en',
            ))->all()),
            $written->minutes,
            $written->cover['token'] ?? '',
            $written->cover['x'] ?? 50,
            $written->cover['y'] ?? 50,
            $content->version ?? 0,
            $content?->drafted !== null,
            $content->drafted_version ?? 0,
            $this->earlierOf($course, $item->key),
            $missing,
        );
    }
}
