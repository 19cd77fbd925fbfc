<?php

declare(strict_types=1);

namespace App\School\Letters;

use App\Models\LetterChoice;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Who wants which letters. */
final readonly class LetterChoices
{
    public function __construct(private ActivityLog $log)
    {
    }

    /** @return array<string, bool> by kind, of all there are */
    public function of(Person $person): array
    {
        $said = LetterChoice::query()->where('person_id', $person->id)->pluck('wanted', 'kind');
        $wanted = [];
        foreach (LetterKind::cases() as $kind) {
            $wanted[$kind->value] = (bool) ($said[$kind->value] ?? ! $kind->isAskedFor());
        }

        return $wanted;
    }

    /**
     * @param  list<int>  $people
     * @return array<int, true> by person, of those who want it
     */
    public function wanting(LetterKind $kind, array $people): array
    {
        $said = LetterChoice::query()->where('kind', $kind->value)->whereIntegerInRaw('person_id', array_unique($people))->pluck('wanted', 'person_id');
        // Who was erased is reached by nobody.
        $erased = Person::query()->whereIntegerInRaw('id', array_unique($people))->whereNotNull('erased_at')->pluck('id')->flip();
        $wanting = [];
        foreach ($people as $person) {
            if ((bool) ($said[$person] ?? ! $kind->isAskedFor()) && ! isset($erased[$person])) {
                $wanting[$person] = true;
            }
        }

        return $wanting;
    }

    /**
     * @param  non-empty-list<LetterKind>  $kinds
     * @param  ?Person  $by  who runs the school, and says so for them; null: they themselves
     */
    public function set(Person $person, array $kinds, bool $wanted, ?Person $by = null): void
    {
        DB::transaction(function () use ($person, $kinds, $wanted, $by): void {
            $before = $this->of($person);
            $changed = array_values(array_filter($kinds, static fn (LetterKind $kind): bool => $before[$kind->value] !== $wanted));
            if ($changed === []) {
                return;
            }
            LetterChoice::query()->upsert(array_map(static fn (LetterKind $kind): array => ['person_id' => $person->id, 'kind' => $kind->value, 'wanted' => $wanted], $changed), ['person_id', 'kind'], ['wanted']);
            $names = array_map(static fn (LetterKind $kind): string => $kind->value, $changed);
            $this->log->note($wanted ? 'letters.wanted' : 'letters.stopped', $by, person: $person, after: ['kinds' => $names]);
        });
    }
}
