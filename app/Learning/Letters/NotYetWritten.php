<?php

declare(strict_types=1);

namespace App\Learning\Letters;

use App\Models\LetterChoice;
use App\Models\Message;
use App\Models\Person;
use App\School\Letters\LetterKind;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Collection;
use Illuminate\Support\LazyCollection;

/** Goes through rows of which letters may be due, in groups, without those of which one was written or whose readers want none. */
final class NotYetWritten
{
    public const GROUP = 200;

    /** Days for which what has come about is still written of, should nothing have run meanwhile. */
    public const DAYS = 2;

    private function __construct()
    {
    }

    /**
     * @template T of Model
     *
     * @param  LazyCollection<int, T>  $rows
     * @param  \Closure(T): string  $once  what its letter is about
     * @param  \Closure(T): int  $person  to whom it goes
     * @return \Generator<int, Collection<int, T>>
     */
    public static function of(LetterKind $kind, LazyCollection $rows, \Closure $once, \Closure $person): \Generator
    {
        foreach ($rows->chunk(self::GROUP) as $chunk) {
            $some = $chunk->values()->collect();
            $written = Message::query()->whereIn('once', $some->map($once)->all())->pluck('once')->flip();
            $unwanted = LetterChoice::query()->where('kind', $kind->value)->where('wanted', false)->whereIn('person_id', $some->map($person)->unique()->all())->pluck('person_id')->flip();
            $left = [];
            foreach ($some as $row) {
                if (! $written->has($once($row)) && ! $unwanted->has($person($row))) {
                    $left[] = $row;
                }
            }
            if ($left !== []) {
                yield new Collection($left);
            }
        }
    }

    /**
     * Learners whose address is shown to be theirs: whoever types that of another has nothing sent there but the question whose it is.
     *
     * @param  Builder<Person>  $people
     */
    public static function readers(Builder $people): void
    {
        $people->whereNull('role')->whereNull('claimed_email');
    }

    /** As the database has it. */
    public static function stamp(int $instant): string
    {
        return gmdate('Y-m-d H:i:s', $instant);
    }
}
