<?php

declare(strict_types=1);

namespace App\Ledger\Past;

use App\Access\Kept;
use App\Access\Plans;
use App\Models\Revision;

/** Rules that were live once, read and compiled once each, however many moments are asked for. */
final class PastRules
{
    /** @var array<int, ?PastRevision> by number */
    private array $revisions = [];

    /** @var array<string, Plans> by what the school and its offers were like */
    private array $plans = [];

    public function __construct(private readonly Kept $kept)
    {
    }

    public function of(int $revision): ?PastRevision
    {
        if (! array_key_exists($revision, $this->revisions)) {
            $found = Revision::query()->with('author')->find($revision);
            $this->revisions[$revision] = $found === null ? null : PastRevision::of($found);
        }

        return $this->revisions[$revision];
    }

    public function plans(PastSchool $school): Plans
    {
        return $this->plans[$school->stamp()] ??= $school->plans($this->kept);
    }
}
