<?php

declare(strict_types=1);

namespace App\Learning\Watching;

use App\Learning\MarkFinished;
use App\Models\Course;
use App\Models\Medium;
use App\Models\Person;
use App\Models\WatchReport;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use SilentKeep\Core\Watching\PlayedSegments;
use SilentKeep\Core\Watching\Watch;

/** Takes what a player reports, and finishes the lesson once enough was watched. Whether they may is for the caller to have asked the core. */
final readonly class ReportWatched
{
    public function __construct(private ClockInterface $clock, private OpenWatch $open, private MarkFinished $markFinished)
    {
    }

    /**
     * @param  list<Statement>  $statements  one that came before counts no more
     * @param  float  $needed  the share that finishes the lesson
     * @return ?Watch  what is believed now; null: the video has no length that could be watched
     *
     * @throws OtherStatement if one has the id of another
     */
    public function __invoke(Person $person, Course $course, Medium $medium, array $statements, float $needed): ?Watch
    {
        return DB::transaction(function () use ($person, $course, $medium, $statements, $needed): ?Watch {
            $record = ($this->open)($person, $medium);
            if ($record === null) {
                return null;
            }
            $now = $this->clock->now()->getTimestamp();
            $known = WatchReport::query()->whereIn('id', array_map(static fn (Statement $statement): string => $statement->id, $statements))->pluck('played', 'id')->all();
            $new = [];
            $position = null;
            foreach ($statements as $statement) {
                if (isset($known[$statement->id]) && $known[$statement->id] !== $statement->text) {
                    throw OtherStatement::named($statement->id);
                }
                if (! isset($known[$statement->id])) {
                    $known[$statement->id] = $statement->text;
                    $new[] = $statement->played;
                    $position = $statement->at ?? $position;
                    WatchReport::query()->create(['id' => $statement->id, 'watch_id' => $record->id, 'played' => $statement->text, 'stored_at' => $now]);
                }
            }
            // What was kept while the line was down comes at once, and time has passed for all of it.
            $watch = $new === [] ? Watching::of($record) : Watching::of($record)->report(PlayedSegments::together(...$new), $now, Watching::FASTEST);
            Watching::record($watch, $record, $position);
            if ($watch->isFinished($needed)) {
                ($this->markFinished)($person, $course, $medium->item_key);
            }

            return $watch;
        });
    }
}
