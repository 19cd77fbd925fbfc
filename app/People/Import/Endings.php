<?php

declare(strict_types=1);

namespace App\People\Import;

use App\Access\SchoolClock;
use App\Database\Value;
use App\Models\Import;
use App\Models\ImportRow;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\Words\Say;
use Illuminate\Support\Collection;

/** What a file ends of that which files gave: found as it is read, and laid down as it is brought in. */
final readonly class Endings
{
    /** The choice that lets what a file ends be. */
    public const LEFT = 'left';

    public function __construct(private SchoolClock $clock)
    {
    }

    /**
     * @param  list<EndingLine>  $lines
     * @return array{list<array<string, mixed>>, list<PassedLine>, int} columns of rows, lines by which nothing ends, and how many passes end
     */
    public function rows(Import $import, array $lines): array
    {
        if ($lines === []) {
            return [[], [], 0];
        }
        $people = Person::query()->whereIn('email', array_values(array_unique(array_map(static fn (EndingLine $line): string => $line->email, $lines))))->get()->keyBy('email');
        $given = GivenByFiles::to(Value::ints($people->pluck('id')), $this->clock->now());
        $offers = array_map(Value::int(...), Offer::query()->pluck('id', 'key')->all());
        $isLeft = ($import->options['endings'] ?? null) === self::LEFT;
        $rows = $passed = $counted = [];
        foreach ($lines as $line) {
            $person = $people->get($line->email);
            $ends = $person === null ? [] : array_values(array_filter($line->offers, static fn (string $offer): bool => isset($given[$person->id][$offers[$offer] ?? 0])));
            if ($person === null || $ends === [] || $isLeft) {
                $passed[] = new PassedLine($line->line, Say::text($ends === [] ? 'files.roster_people.nothing_ends' : 'files.roster_people.not_ended', ['why' => $line->why, 'email' => $line->email]));

                continue;
            }
            foreach ($ends as $offer) {
                foreach ($given[$person->id][$offers[$offer]] as $pass) {
                    $counted[$pass->id] = true;
                }
                $rows[] = [
                    'import_id' => $import->id, 'line' => $line->line, 'email' => $line->email, 'name' => $person->name, 'labels' => '[]', 'offer_id' => $offers[$offer],
                    'starts_at' => null, 'ends_at' => null, 'takes' => true, 'observes' => '[]',
                ];
            }
        }

        return [$rows, $passed, count($counted)];
    }

    /**
     * @param  Collection<int, ImportRow>  $rows
     * @param  array<string, array{person: Person, row: ?array<string, mixed>}>  $people
     * @return list<array<string, mixed>> columns of what ends
     */
    public function laid(Import $import, Collection $rows, array $people): array
    {
        $given = GivenByFiles::to(array_map(static fn (array $one): int => $one['person']->id, array_values($people)), $this->clock->now());
        $ends = [];
        foreach ($rows as $row) {
            $person = $people[$row->email]['person'] ?? null;
            foreach ($given[$person->id ?? 0][$row->offer_id] ?? [] as $pass) {
                $becomes = $row->ends_at?->getTimestamp();
                if ($row->takes || ($becomes !== null && GivenByFiles::endsLater($pass, $becomes))) {
                    $ends[$pass->id] = self::columns($import, $pass, $becomes);
                }
            }
        }

        return array_values($ends);
    }

    /**
     * @param  ?int  $becomes  instant; null: as it is brought in
     * @return array<string, mixed>
     */
    private static function columns(Import $import, Pass $pass, ?int $becomes): array
    {
        $stored = static fn (?int $instant): ?string => $instant === null ? null : gmdate('Y-m-d H:i:s', $instant);

        return ['import_id' => $import->id, 'person_id' => $pass->person_id, 'pass_id' => $pass->id, 'course_id' => $pass->course_id, 'was' => $stored($pass->ends_at?->getTimestamp()), 'becomes' => $stored($becomes), 'offer' => $pass->offer->key];
    }
}
