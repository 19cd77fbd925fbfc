<?php

declare(strict_types=1);

namespace App\Learning\Contents;

use App\Models\Medium;
use Illuminate\Support\Facades\Storage;

/** Files of media. Copies of an item share them, so that each goes only with the last that holds it. */
final class MediaFiles
{
    private function __construct()
    {
    }

    /** To be called once what held them is gone for good. */
    public static function letGo(?string ...$paths): void
    {
        foreach ($paths as $path) {
            if ($path !== null && Medium::query()->where('path', $path)->orWhere('poster', $path)->doesntExist()) {
                Storage::delete($path);
            }
        }
    }
}
