<?php

declare(strict_types=1);

// Holds the write lock of a database: php hold-lock.php DSN SECONDS. Says "held" once it has it, and when it let go.
[, $dsn, $seconds] = $argv;
$sqlite = str_starts_with($dsn, 'sqlite:');
$pdo = new PDO($dsn, $sqlite ? null : (string) getenv('DB_USERNAME'), $sqlite ? null : '');
$pdo->exec($sqlite ? 'PRAGMA busy_timeout = 10000' : 'select 1');
$pdo->exec($sqlite ? 'BEGIN IMMEDIATE' : 'begin; select pg_advisory_xact_lock(741852963)');
$pdo->exec('update schools set updated_at = updated_at');
echo "held\n";
usleep((int) ((float) $seconds * 1_000_000));
$at = microtime(true);
$pdo->exec('COMMIT');
echo "released {$at}\n";
