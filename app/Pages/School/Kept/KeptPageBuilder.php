<?php

declare(strict_types=1);

namespace App\Pages\School\Kept;

use App\Privacy\Erasing\EraseDeparted;
use App\School\Keeping\KeptDays;
use App\School\Keeping\KeptKind;
use App\Words\Say;
use Psr\Clock\ClockInterface;

/** Puts together for how long what is kept. */
final readonly class KeptPageBuilder
{
    public function __construct(private KeptDays $kept, private EraseDeparted $departed, private ClockInterface $clock)
    {
    }

    public function page(bool $mayRun): KeptPage
    {
        return new KeptPage(array_map(fn (KeptKind $kind): KeptRow => new KeptRow($kind->value, Say::text("privacy_told.kinds.{$kind->value}.title"), Say::text("privacy_told.kinds.{$kind->value}.told"), $this->kept->of($kind), $kind->least(), $kind->mayStayForGood()), KeptKind::cases()), $mayRun);
    }

    /** @param  int  $days  since they were here last */
    public function departed(int $days): DepartedCount
    {
        return new DepartedCount($this->departed->departed(gmdate('Y-m-d H:i:s', $this->clock->now()->getTimestamp() - $days * 86_400))->count());
    }
}
