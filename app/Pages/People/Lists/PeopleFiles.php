<?php

declare(strict_types=1);

namespace App\Pages\People\Lists;

use App\Access\SchoolClock;
use App\Database\Value;
use App\Models\CsvForm;
use App\Models\PeopleFile;
use App\Models\PeopleFilePart;
use App\Models\Person;
use App\People\PeopleFilter;
use App\People\PeopleQuery;
use Generator;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use RuntimeException;

/**
 * Files of people. Of a few one is made while whoever asks waits. Of more it takes longer than anybody should wait for an answer, and one that broke off
 * would look whole: it is made in the queue, part by part, and fetched when it is there.
 */
final readonly class PeopleFiles
{
    /** People whose lines are made while one waits. */
    public const AT_ONCE = 2_000;

    /** People of a part: so many share the reading of each course. */
    private const OF_A_PART = 5_000;

    /** Parts that are in memory at once where a file is sent: some megabytes. */
    private const SENT = 5;

    /** So many files are kept of each who asks, on the page or by programs. */
    private const MOST = 5;

    public function __construct(private PeopleQuery $find, private PeopleLines $lines, private ClockInterface $clock, private SchoolClock $school)
    {
    }

    /** @return ?list<list<string>> the head and the lines; null: they are too many for that */
    public function atOnce(PeopleFilter $filter): ?array
    {
        $ids = Value::ints(($this->find)($filter)->toBase()->limit(self::AT_ONCE + 1)->pluck('id'));

        return count($ids) > self::AT_ONCE ? null : [$this->lines->head(), ...$this->lines->of($ids, $filter->course, $filter->standing === 'samples')];
    }

    /**
     * Those whom the filter lets through now are in it, each as they are when their part is made. Asked for again while it is made, it is that one.
     *
     * @param  string  $query  the filter as addresses have it
     * @param  bool  $listed  whether it is shown on the page of people
     */
    public function ask(PeopleFilter $filter, string $query, Person $asker, bool $listed): PeopleFile
    {
        $ids = [];
        // One after another: all rows at once would take a hundred times the memory of their numbers.
        foreach (($this->find)($filter)->toBase()->select('people.id')->cursor() as $row) {
            $ids[] = Value::int($row->id);
        }
        $making = $asker->id.($listed ? ':' : ':program:').hash('xxh128', $query);
        $row = [
            'person_id' => $asker->id, 'query' => $query, 'making' => $making, 'listed' => $listed, 'course' => $filter->course, 'samples' => $filter->standing === 'samples',
            'form' => $asker->csv_form?->value, 'state' => 'making', 'of' => count($ids), 'asked_at' => gmdate('Y-m-d H:i:s', $this->clock->now()->getTimestamp()),
        ];
        $file = DB::transaction(static function () use ($ids, $row): ?PeopleFile {
            if (PeopleFile::query()->insertOrIgnore($row) === 0) {
                return null;
            }
            $file = PeopleFile::query()->where('making', $row['making'])->firstOrFail();
            foreach (array_chunk($ids, self::OF_A_PART) as $place => $some) {
                PeopleFilePart::query()->create(['file_id' => $file->id, 'place' => $place, 'people' => $some]);
            }
            $theirs = PeopleFile::query()->where('person_id', $file->person_id)->where('listed', $file->listed);
            // In place of one of the same that came to nothing.
            (clone $theirs)->where('query', $file->query)->whereIn('state', ['failed', 'gone'])->delete();
            (clone $theirs)->whereNotIn('id', (clone $theirs)->orderByDesc('id')->limit(self::MOST)->pluck('id'))->delete();

            return $file;
        });
        if ($file === null) {
            // It may have been finished since it stood in the way: then it is made anew.
            return PeopleFile::query()->where('making', $making)->first() ?? $this->ask($filter, $query, $asker, $listed);
        }
        MakePeopleFile::dispatch($file->id);

        return $file;
    }

    /** @return list<PeopleFileRow> those that somebody asked for on the page of people, the newest first */
    public function listed(Person $asker): array
    {
        $rows = [];
        foreach (PeopleFile::query()->where('person_id', $asker->id)->where('listed', true)->orderByDesc('id')->get() as $file) {
            $rows[] = new PeopleFileRow($file->id, $file->query, $file->state, $file->made, $file->of, $this->size($file), $this->school->words(($file->finished_at ?? $file->asked_at)->getTimestamp()));
        }

        return $rows;
    }

    /** Bytes of one that is ready, as it is sent. */
    public function size(PeopleFile $file): int
    {
        return strlen($this->begins($file)) + $file->bytes;
    }

    /**
     * What is sent, part by part.
     *
     * @return Generator<int, string>
     *
     * @throws RuntimeException where it is let go of meanwhile
     */
    public function content(PeopleFile $file): Generator
    {
        yield $this->begins($file);
        foreach ($file->parts()->pluck('id')->chunk(self::SENT) as $some) {
            $lines = Value::texts(PeopleFilePart::query()->whereIntegerInRaw('id', Value::ints($some))->whereNotNull('lines')->orderBy('place')->pluck('lines'));
            yield from count($lines) === count($some) ? $lines : throw new RuntimeException('The file is gone.');
        }
    }

    private function begins(PeopleFile $file): string
    {
        return ($file->form?->isMarked() === true ? "\xEF\xBB\xBF" : '').CsvForm::text([$this->lines->head()], $file->form);
    }
}
