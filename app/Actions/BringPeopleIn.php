<?php

declare(strict_types=1);

namespace App\Actions;

use App\Keep\Bringing\BringOn;
use App\Keep\Bringing\NotReadable;
use App\Keep\Bringing\StagedPeople;
use App\Models\Import;
use Illuminate\Support\Facades\Storage;

/** Brings in all that was read of a file of people, or nobody. */
final readonly class BringPeopleIn
{
    public function __construct(private StagedPeople $staged)
    {
    }

    /**
     * Has the queue do it.
     *
     * @throws NotReadable if it is not ready, or is being brought in already
     */
    public function __invoke(Import $import): void
    {
        $this->staged->begin($import);
        BringOn::dispatch($import->id);
    }

    /**
     * Goes on with it, for about so long: lays down, puts in force, writes to people.
     *
     * @return bool whether there is more to be done
     */
    public function goOn(Import $import, float $seconds): bool
    {
        $start = hrtime(true);
        $time = static fn (): bool => (hrtime(true) - $start) / 1e9 < $seconds;
        try {
            while ($import->state === 'bringing in' && $this->staged->stageSome($import)) {
                if (! $time()) {
                    return true;
                }
            }
            if ($import->state === 'bringing in') {
                $this->staged->putInForce($import);
                Storage::delete($import->path);
            }
        } catch (NotReadable $e) {
            $this->staged->giveUp($import, $e->getMessage());

            return false;
        }
        while ($this->staged->writeSome($import)) {
            if (! $time()) {
                return true;
            }
        }

        return false;
    }
}
