<?php

declare(strict_types=1);

namespace App\Http\Api\Reading;

use App\Http\Api\Problems\Problem;
use App\Http\Api\Problems\ProblemKind;
use App\Words\Say;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Storage;

/** A file that was sent as the body of a request: kept, and never as a whole in memory. */
final class KeptBody
{
    /**
     * @param  int  $most  bytes
     * @return string where it is kept
     *
     * @throws Problem if it is empty, or larger
     */
    public static function of(Request $request, int $most): string
    {
        $path = 'imports/'.bin2hex(random_bytes(12));
        Storage::put($path, $request->getContent(asResource: true));
        $size = Storage::size($path);
        if ($size === 0 || $size > $most) {
            Storage::delete($path);
            throw $size === 0 ? new Problem(ProblemKind::BadRequest, Say::text('interface.files.empty')) : new Problem(ProblemKind::TooMuch);
        }

        return $path;
    }
}
