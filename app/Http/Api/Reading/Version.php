<?php

declare(strict_types=1);

namespace App\Http\Api\Reading;

use App\Http\Api\Problems\Problem;
use App\Http\Api\Problems\ProblemKind;
use App\Words\Say;
use Illuminate\Http\Request;

/** The version of something that whoever asks has read: `If-Match`, as RFC 9110 has it. */
final class Version
{
    public const HEADER = 'If-Match';

    public static function etag(int $version): string
    {
        return "\"{$version}\"";
    }

    /** @throws Problem if it is not said */
    public static function seen(Request $request): int
    {
        $given = $request->headers->get(self::HEADER) ?? throw new Problem(ProblemKind::VersionNeeded, Say::text('interface.problems_told.version'));

        return preg_match('/^"(\d{1,9})"$/D', trim($given), $found) === 1 ? (int) $found[1] : throw new Problem(ProblemKind::ChangedMeanwhile, Say::text('interface.problems_told.version'));
    }
}
