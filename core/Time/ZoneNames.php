<?php

declare(strict_types=1);

namespace SilentKeep\Core\Time;

/** The names of the IANA time zone database. */
final class ZoneNames
{
    /**
     * Names that PHP takes for abbreviations or offsets, which know no clock changes, with the zones that the database
     * links them to.
     *
     * Source: the file `backward` of the IANA time zone database, 2024b.
     */
    private const LINKS = [
        'CET' => 'Europe/Brussels', 'EET' => 'Europe/Athens', 'EST' => 'America/Panama', 'GMT' => 'Etc/GMT', 'GMT+0' => 'Etc/GMT', 'GMT-0' => 'Etc/GMT', 'HST' => 'Pacific/Honolulu',
        'MET' => 'Europe/Brussels', 'MST' => 'America/Phoenix', 'UCT' => 'Etc/UTC', 'WET' => 'Europe/Lisbon',
    ];

    /** Files beside the zones, which some systems list among them. */
    private const FILES = ['leapseconds', 'posixrules', 'tzdata.zi'];

    /** @var ?array<string, true> */
    private static ?array $all = null;

    /** @return list<string> as the database of this system has them, links too */
    public static function all(): array
    {
        return array_keys(self::known());
    }

    public static function has(string $name): bool
    {
        return isset(self::known()[$name]);
    }

    /** With its clock changes. Of a name that {@see self::has()} knows. */
    public static function zone(string $name): \DateTimeZone
    {
        return new \DateTimeZone(self::LINKS[$name] ?? $name);
    }

    /** @return array<string, true> */
    private static function known(): array
    {
        return self::$all ??= array_fill_keys(array_diff(\DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC), self::FILES), true);
    }
}
