<?php

declare(strict_types=1);

namespace App\Words;

use DateTimeInterface;
use Illuminate\Support\Facades\Lang;
use IntlDateFormatter;
use NumberFormatter;

/** Dates, times, numbers and money as the language writes them. */
final class Formats
{
    private const MOST_SAID = 1000;

    /** @var array<string, IntlDateFormatter> by language, zone and pattern */
    private static array $dates = [];

    /** @var array<string, string> what was said, by all on which it depends: a course has a row for each lesson, and few days */
    private static array $said = [];

    /** @var array<string, NumberFormatter> by language and the digits after the point */
    private static array $numbers = [];

    private function __construct()
    {
    }

    /** `Mon 9 Mar, 09:00`, with the year where it is another one than that given, or none is. */
    public static function instant(DateTimeInterface $local, ?int $year): string
    {
        return self::dated('instant', $local, $year);
    }

    /** `Mon 9 Mar`, likewise. */
    public static function date(DateTimeInterface $local, ?int $year): string
    {
        return self::dated('date', $local, $year);
    }

    /** `9 Mar`, or `Mar 2027` where it is another year: for places as narrow as a cell. */
    public static function cell(DateTimeInterface $local, ?int $year): string
    {
        return self::dated('cell', $local, $year);
    }

    /** `Monday` */
    public static function weekday(DateTimeInterface $local): string
    {
        return self::dated('weekday', $local, (int) $local->format('Y'));
    }

    public static function count(int $count): string
    {
        return self::number($count, 0);
    }

    /**
     * `240 EUR`, `12.50 EUR`
     *
     * @param  int  $price  in hundredths
     * @param  string  $currency  ISO 4217
     */
    public static function money(int $price, string $currency): string
    {
        return self::number($price / 100, $price % 100 === 0 ? 0 : 2)." {$currency}";
    }

    private static function dated(string $what, DateTimeInterface $local, ?int $year): string
    {
        $locale = Lang::getLocale();
        $zone = $local->getTimezone();
        $of = "{$locale} {$zone->getName()} {$what} {$year} {$local->getTimestamp()}";
        if (isset(self::$said[$of])) {
            return self::$said[$of];
        }
        if (count(self::$said) >= self::MOST_SAID) {
            self::$said = [];
        }
        $pattern = Lang::get("formats.{$what}".((int) $local->format('Y') === $year ? '' : '_with_year'));
        assert(is_string($pattern));
        $said = (self::$dates["{$locale} {$zone->getName()} {$pattern}"] ??= new IntlDateFormatter($locale, IntlDateFormatter::NONE, IntlDateFormatter::NONE, $zone, pattern: $pattern))->format($local);

        return self::$said[$of] = $said === false ? throw new \LogicException("The pattern {$pattern} writes no date.") : $said;
    }

    private static function number(int|float $number, int $digits): string
    {
        $locale = Lang::getLocale();
        $formatter = self::$numbers["{$locale} {$digits}"] ??= self::ofDigits($locale, $digits);

        return (string) $formatter->format($number);
    }

    private static function ofDigits(string $locale, int $digits): NumberFormatter
    {
        $formatter = new NumberFormatter($locale, NumberFormatter::DECIMAL);
        $formatter->setAttribute(NumberFormatter::FRACTION_DIGITS, $digits);

        return $formatter;
    }
}
