<?php

declare(strict_types=1);

namespace Tests;

/** Databases of a PostgreSQL that was started for the tests alone (`bin/test --database=pgsql`), each a copy of another in an instant. */
final class PgsqlSchools
{
    private static ?\PDO $server = null;

    private function __construct()
    {
    }

    public static function areMeant(): bool
    {
        return getenv('TESTS_DATABASE') === 'pgsql';
    }

    public static function name(): string
    {
        return 'school_'.bin2hex(random_bytes(6));
    }

    /** Empty, or as another that nobody is connected to. What stood there is gone. */
    public static function make(string $name, ?string $like = null): void
    {
        self::drop($name);
        self::server()->exec("create database {$name}".($like === null ? '' : " template {$like}"));
    }

    public static function drop(string $name): void
    {
        self::server()->exec("drop database if exists {$name} with (force)");
    }

    public static function isThere(string $name): bool
    {
        $found = self::server()->prepare('select 1 from pg_database where datname = ?');
        $found->execute([$name]);

        return $found->fetchColumn() !== false;
    }

    public static function dsn(string $name): string
    {
        return sprintf('pgsql:host=%s;port=%s;dbname=%s', getenv('DB_HOST'), getenv('DB_PORT'), $name);
    }

    public static function connect(string $name): \PDO
    {
        return new \PDO(self::dsn($name), (string) getenv('DB_USERNAME'), '');
    }

    /** @return array<string, string> by which another process finds one */
    public static function environment(string $name): array
    {
        return ['DB_CONNECTION' => 'pgsql', 'DB_DATABASE' => $name];
    }

    private static function server(): \PDO
    {
        return self::$server ??= self::connect('postgres');
    }
}
