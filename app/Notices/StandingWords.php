<?php

declare(strict_types=1);

namespace App\Notices;

use App\Models\NoticeText;

/** Words that stand at a closed door, and where they come from. */
final readonly class StandingWords
{
    /** @param  ?string  $item  the item or module that has them */
    public function __construct(public NoticeLevel $level, public NoticeText $text, public ?string $item)
    {
    }
}
