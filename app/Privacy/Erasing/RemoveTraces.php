<?php

declare(strict_types=1);

namespace App\Privacy\Erasing;

use App\Database\Dialects;
use App\Database\Hand;
use App\Models\ErasedPerson;
use App\Models\PeopleFile;
use App\Models\Person;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Psr\Clock\ClockInterface;

/** What is left of somebody who was erased, table by table and file by file. Each step is kept, and does no harm when it is done twice. */
final class RemoveTraces implements ShouldQueue
{
    use Queueable;

    /** Seconds until it is tried again while a file of people is being brought in. */
    private const LATER = 60;

    public int $tries = 50;

    public int $maxExceptions = 5;

    public function __construct(private readonly int $erased)
    {
    }

    public function handle(OwnRows $own, TracesInRows $rows, TracesInFiles $files, Hand $hand, ClockInterface $clock): void
    {
        $erased = ErasedPerson::query()->find($this->erased);
        if ($erased === null || $erased->sought === null) {
            return;
        }
        $sought = Sought::from($erased->sought);
        PeopleFile::emptyShut();
        $hand->while($erased->by, 'erasure', static function () use ($own, $rows, $erased, $sought): void {
            $own->remove($erased, $sought);
            $rows->remove($erased, Person::query()->whereIn('name', $sought->names)->exists() ? $sought->addressesAlone() : $sought);
        });
        if (! $files->remove($erased, $sought)) {
            $this->release(self::LATER);

            return;
        }
        $erased->update(['left' => $rows->left($sought), 'sought' => null, 'state' => 'done', 'finished_at' => $clock->now()]);
        Dialects::spoken()->overwriteDeleted();
    }
}
