<?php

declare(strict_types=1);

namespace App\Pages\People\Lists;

use App\Access\SchoolClock;
use App\Words\Say;

/** The lines of a file of people: what the list tells of them. */
final readonly class PeopleLines
{
    public function __construct(private PeopleRows $rows, private SchoolClock $clock)
    {
    }

    /** @return list<string> */
    public function head(): array
    {
        // A file is read later, and elsewhere: whose times stand in it is said here.
        return ['Name', 'E-mail', 'Role', 'Passes', 'Labels', 'Finished', Say::text('pages.people_page_builder.last_here', ['zone' => $this->clock->zoneName()])];
    }

    /**
     * @param  list<int>  $ids  of people; whoever is not there any more is left out
     * @param  ?string  $course  key of the one whose progress is told; null: of those they hold passes of
     * @param  bool  $samples  whether it is told which samples they looked at
     * @return list<list<string>> in their order
     */
    public function of(array $ids, ?string $course, bool $samples): array
    {
        $lines = [];
        foreach ($this->rows->of($this->rows->people($ids), $course, $samples) as $row) {
            $lines[] = [$row->name, $row->email, $row->role ?? '', implode('; ', $row->passes), implode(', ', $row->labels), $row->progress ?? '', $row->seen ?? ''];
        }

        return $lines;
    }
}
