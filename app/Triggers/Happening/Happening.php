<?php

declare(strict_types=1);

namespace App\Triggers\Happening;

/** Something that came about for somebody. */
final readonly class Happening
{
    /** More than so many of one trigger are not looked at in one go. */
    public const MOST = 5000;

    /**
     * @param  string  $key  the same whenever it is looked up
     * @param  int  $at  instant
     * @param  string  $told  in words, as a cause: "finished Tools and timber"
     */
    public function __construct(public string $key, public int $personId, public int $at, public string $told)
    {
    }

    /** As the database has an instant. */
    public static function stamp(int $instant): string
    {
        return gmdate('Y-m-d H:i:s', $instant);
    }
}
