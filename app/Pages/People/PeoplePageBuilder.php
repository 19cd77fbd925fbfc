<?php

declare(strict_types=1);

namespace App\Pages\People;

use App\Access\Shelf\CourseShelf;
use App\Models\Person;
use App\Models\SavedFilter;
use App\Pages\People\Lists\PeopleFiles;
use App\Pages\People\Lists\PeopleRows;
use App\People\PeopleFilter;
use App\People\PeopleQuery;
use App\People\PeoplesLabels;

/** Puts together lists of people, in a fixed number of queries however many there are. */
final readonly class PeoplePageBuilder
{
    public const PER_PAGE = 50;

    /** Labels that are proposed; any other can be typed. */
    private const LABELS = 200;

    public function __construct(private CourseShelf $shelf, private PeopleQuery $find, private ActPageBuilder $acts, private PeopleRows $rows, private PeopleFiles $files)
    {
    }

    /** @param  array<string, string>  $asked  the filter as the address has it */
    public function page(PeopleFilter $filter, int $page, array $asked, Person $reader, bool $mayRun): PeoplePage
    {
        $found = $this->find->page($filter, $page, self::PER_PAGE);

        return new PeoplePage(
            people: $this->rows->of($this->rows->people($found->ids), $filter->course, $filter->standing === 'samples'),
            total: $found->total,
            page: $found->page,
            pages: $found->pages,
            filter: (object) $asked,
            offers: $this->shelf->offers(),
            courses: $this->shelf->picks(),
            labels: PeoplesLabels::known(self::LABELS),
            segments: $this->segments($reader),
            underWay: $this->acts->underWay($reader, $mayRun),
            files: $this->files->listed($reader),
            csvAtOnce: PeopleFiles::AT_ONCE,
            csvForm: $reader->csv_form?->value,
            mayRun: $mayRun,
        );
    }

    /** @return list<SavedFilterRow> */
    private function segments(Person $reader): array
    {
        $segments = [];
        foreach (SavedFilter::query()->where('person_id', $reader->id)->orderBy('name')->get() as $segment) {
            $segments[] = new SavedFilterRow($segment->id, $segment->name, $segment->query);
        }

        return $segments;
    }
}
