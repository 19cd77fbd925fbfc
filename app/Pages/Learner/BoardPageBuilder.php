<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use App\Access\SchoolAddress;
use App\Access\SchoolClock;
use App\Database\Value;
use App\Learning\Contents\LessonContents;
use App\Learning\Contents\OpenContents;
use App\Learning\DateRow;
use App\Learning\LearnerView;
use App\Learning\PathRow;
use App\Learning\Reading;
use App\Learning\SayOnBoard;
use App\Models\BoardPost;
use App\Models\Course;
use App\Models\QuizTry;
use App\Pages\Shared\ReadyTexts;
use App\Words\Say;
use SilentKeep\Core\Time\Instant;

/** What stands on an open board, by what the board is for. */
final readonly class BoardPageBuilder
{
    public const KINDS = ['announcements', 'calendar', 'discussion', 'marks'];

    /** Posts that are shown at most: the latest. */
    private const POSTS = 200;

    /** Dates that are shown at most: the next. */
    private const DATES = 100;

    public function __construct(private SchoolClock $clock, private LessonContents $contents, private ReadyTexts $texts)
    {
    }

    public static function kindOf(OpenContents $contents): string
    {
        return $contents->content->board ?? 'announcements';
    }

    public function page(Course $course, LearnerView $view, PathRow $row, OpenContents $contents, Reading $reading, bool $act): BoardPage
    {
        $board = self::kindOf($contents);
        $own = $reading->real && $reading->person !== null && $view->answer->viewer->observes === null;

        return new BoardPage(
            course: $view->frame(),
            item: $row,
            board: $board,
            html: $this->texts->ofItem($course->id, $row->key, $contents->content->text ?? ''),
            media: $this->contents->cards($contents, $reading->bearer),
            dates: $board === 'calendar' ? $this->dates($view) : [],
            calendar: $board === 'calendar' && $own && $reading->person->calendar_token !== null ? SchoolAddress::of('calendar', $reading->person->calendar_token) : null,
            canSubscribe: $board === 'calendar' && $own,
            posts: $board === 'discussion' ? $this->posts($course, $row->key, $reading) : [],
            canPost: $board === 'discussion' && $act && $reading->real && $reading->person !== null,
            marks: $board === 'marks' ? $this->marks($course, $view, $reading->learner) : [],
        );
    }

    /** @return list<DateRow> */
    private function dates(LearnerView $view): array
    {
        return array_map(fn (array $date): DateRow => new DateRow($this->clock->words($date['at']), $date['key'], $date['title'], $date['opens'], Instant::format($date['at'])), array_slice($view->dates->dates(), 0, self::DATES));
    }

    /** @return list<PostRow> what began something in the order in which it did, each with its answers beneath it */
    private function posts(Course $course, string $board, Reading $reading): array
    {
        $latest = BoardPost::query()->where('course_id', $course->id)->where('item_key', $board)->orderByDesc('id')->limit(self::POSTS)->get(['id', 'answers_id']);
        $begun = $latest->map(static fn (BoardPost $post): int => $post->answers_id ?? $post->id)->unique()->sort()->values();
        $posts = BoardPost::query()->with('person')->whereIntegerInRaw('id', [...$latest->pluck('id')->map(Value::int(...)), ...$begun])->orderBy('id')->get();
        $rows = [];
        foreach ($begun as $id) {
            foreach ($posts as $post) {
                if ($post->id === $id || $post->answers_id === $id) {
                    $rows[] = $this->post($post, $reading);
                }
            }
        }

        return $rows;
    }

    private function post(BoardPost $post, Reading $reading): PostRow
    {
        $taken = $post->taken_back_at !== null;
        $own = $reading->real && $reading->person !== null && $post->person_id === $reading->person->id && ! $taken;

        return new PostRow(
            $post->id,
            $taken ? '' : $post->person->name ?? Say::text('learner.board.somebody'),
            $this->clock->words($post->posted_at->getTimestamp()),
            $taken ? Say::text('learner.board.taken') : $post->text,
            $own || (! $taken && $reading->real && $reading->person?->role?->helpsPeople() === true),
            $post->changed_at !== null,
            $taken,
            $post->answers_id !== null,
            $own && $this->clock->now() < $post->posted_at->getTimestamp() + SayOnBoard::CHANGED_WITHIN,
            Instant::format($post->posted_at->getTimestamp()),
        );
    }

    /** @return list<MarkRow> */
    private function marks(Course $course, LearnerView $view, ?int $learner): array
    {
        $best = [];
        foreach ($learner === null ? [] : QuizTry::query()->where('person_id', $learner)->where('course_id', $course->id)->get() as $try) {
            $best[$try->item_key] = max($best[$try->item_key] ?? 0.0, $try->score);
        }

        return array_map(fn (PathRow $row): MarkRow => new MarkRow(
            $row->key,
            $row->title,
            $row->open,
            $view->path->finishedAt($row->key) === null ? null : $this->clock->date($view->path->finishedAt($row->key)),
            isset($best[$row->key]) ? (int) floor($best[$row->key] * 100 + 1e-9) : null,
        ), $view->path->lessons());
    }
}
