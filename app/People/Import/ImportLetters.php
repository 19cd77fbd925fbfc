<?php

declare(strict_types=1);

namespace App\People\Import;

use App\Models\Import;
use App\Models\Person;
use App\People\Accounts\SendSignInLink;
use App\People\ObserverLetters;
use App\School\Letters\InTheirLanguage;
use App\School\Letters\LetterKind;
use App\School\Letters\LetterTexts;
use App\School\Letters\WelcomeNewcomer;
use App\Standins\Mail\Letter;
use App\Standins\Mail\Mailer;
use App\Words\Say;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What people are written whom a file has brought in, or brought something; another worker can go on where one was stopped. */
final readonly class ImportLetters
{
    private const GROUP = 500;

    public function __construct(private SendSignInLink $links, private WelcomeNewcomer $welcome, private LetterTexts $texts, private ObserverLetters $observerLetters, private Mailer $mailer, private InTheirLanguage $language)
    {
    }

    /**
     * Writes to a group of those who are new or got something, and then of those who look in on somebody new, once each.
     *
     * @return bool whether there are more
     */
    public function writeSome(Import $import): bool
    {
        $last = $import->refresh()->lettered;
        if ($last === null) {
            return $this->writeToObservers($import);
        }
        $people = DB::table('import_people')->where('import_id', $import->id)->where('id', '>', $last)->orderBy('id')->limit(self::GROUP)->get();
        $known = Person::query()->whereIn('id', $people->pluck('person_id')->all())->get()->keyBy('id');
        // Of passes the school's own letter tells, where it writes that.
        $of = $this->texts->of(LetterKind::PassGiven)->on ? ['import_labels'] : ['import_passes', 'import_labels'];
        $got = self::whoGot($import, $of, array_values($people->pluck('person_id')->map(static fn (mixed $id): int => is_numeric($id) ? (int) $id : 0)->all()));
        $welcome = $letters = [];
        foreach ($people as $row) {
            $person = $known->get(is_numeric($row->person_id) ? (int) $row->person_id : 0);
            if ($person !== null && (bool) $row->is_new) {
                $welcome[] = $person;
            } elseif ($person !== null && isset($got[$person->id])) {
                $letters[] = $this->language->say($person, static fn (): Letter => new Letter($person->id, $person->email, Say::text('letters.got.subject'), Say::text('letters.got.body', ['name' => $person->name])));
            }
        }
        $more = $people->count() === self::GROUP;
        $to = $people->last()->id ?? null;
        $words = $this->welcome->words($welcome);
        DB::transaction(function () use ($import, $last, $words, $letters, $more, $to): void {
            // Another worker may have written to them.
            if (Import::query()->whereKey($import->id)->where('lettered', $last)->update(['lettered' => $more ? $to : null]) === 1) {
                ($this->links)($words);
                $this->mailer->send($letters);
            }
        });

        if (! $more) {
            StagedImport::forgetWhoWasKnown($import);
        }

        return $more || $import->lettered_observers !== null;
    }

    /** @return bool whether there are more */
    private function writeToObservers(Import $import): bool
    {
        $last = $import->lettered_observers;
        if ($last === null) {
            return false;
        }
        $of = static fn (mixed $id): int => is_numeric($id) ? (int) $id : 0;
        $observers = DB::table('import_ties as t')->join('people as o', 'o.email', '=', 't.observer')->where('t.import_id', $import->id)->where('o.id', '>', $last)->distinct()->orderBy('o.id')->limit(self::GROUP)->pluck('o.id')->map($of);
        // Whoever does not look in any more, or never came to, is not written to.
        $pairs = DB::table('import_ties as t')->join('people as o', 'o.email', '=', 't.observer')->join('people as l', 'l.email', '=', 't.learner')
            ->join('observer_ties as s', static fn ($on) => $on->on('s.observer_id', '=', 'o.id')->on('s.learner_id', '=', 'l.id'))
            ->where('t.import_id', $import->id)->whereIn('o.id', $observers->all())->distinct()->orderBy('l.id')->get(['o.id as observer', 'l.id as learner'])
            ->groupBy(static fn (\stdClass $pair): int => $of($pair->observer))->map(static fn (Collection $group): array => $group->map(static fn (\stdClass $pair): int => $of($pair->learner))->all());
        $people = Person::query()->whereIn('id', [...$pairs->keys()->all(), ...$pairs->flatten()->all()])->get()->keyBy('id');
        $ties = [];
        foreach ($pairs as $observer => $learners) {
            $ties[] = ['observer' => $people->get($observer) ?? throw new \LogicException('A tie has two ends.'), 'learners' => $people->only($learners)->values()->toBase()];
        }
        $letters = $ties === [] ? [] : $this->observerLetters->toAll($ties);
        $more = $observers->count() === self::GROUP;
        DB::transaction(function () use ($import, $last, $letters, $more, $observers): void {
            if (Import::query()->whereKey($import->id)->where('lettered_observers', $last)->update(['lettered_observers' => $more ? $observers->last() : null]) === 1) {
                $this->mailer->send(array_values(array_filter($letters)));
            }
        });

        return $more;
    }

    /**
     * @param  list<string>  $tables  of what they got
     * @param  list<int>  $people
     * @return array<int, true>
     */
    private static function whoGot(Import $import, array $tables, array $people): array
    {
        $got = [];
        foreach ($tables as $table) {
            foreach (DB::table($table)->where('import_id', $import->id)->whereIn('person_id', $people)->distinct()->pluck('person_id') as $id) {
                $got[is_numeric($id) ? (int) $id : 0] = true;
            }
        }

        return $got;
    }
}
