<?php

declare(strict_types=1);

namespace App\School\Letters;

use App\Access\SchoolOf;
use App\Models\Language;
use App\Models\Person;
use App\Words\ReaderZone;
use Closure;
use Illuminate\Support\Facades\Lang;

/** What is written to somebody is in the language in which they read, whoever has it written. */
final readonly class InTheirLanguage
{
    public function __construct(private SchoolOf $school, private ReaderZone $zone)
    {
    }

    /** @param  ?Person  $reader  null: whoever reads in the language of the school */
    public function of(?Person $reader): Language
    {
        return $reader->language ?? $this->school->begun()->language ?? Language::English;
    }

    /**
     * @template T
     *
     * @param  ?Person  $reader  null: whoever reads in the language of the school
     * @param  Closure(): T  $words
     * @return T
     */
    public function say(?Person $reader, Closure $words): mixed
    {
        return $this->zone->without(fn (): mixed => self::in($this->of($reader), $words));
    }

    /**
     * @template T
     *
     * @param  Closure(): T  $words
     * @return T
     */
    public static function in(Language $language, Closure $words): mixed
    {
        $before = Lang::getLocale();
        Lang::setLocale($language->value);
        try {
            return $words();
        } finally {
            Lang::setLocale($before);
        }
    }
}
