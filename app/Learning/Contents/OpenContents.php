<?php

declare(strict_types=1);

namespace App\Learning\Contents;

use App\Models\Content;
use App\Models\Medium;
use Illuminate\Support\Collection;

/** What an open item holds. */
final readonly class OpenContents
{
    /**
     * @param  ?Content  $content  null: nothing was written yet
     * @param  Collection<int, Medium>  $media
     */
    public function __construct(public ?Content $content, public Collection $media)
    {
    }
}
