<?php

declare(strict_types=1);

// Holds the write lock of a database: php hold-lock.php FILE SECONDS. Says "held" once it has it, and when it let go.
[, $file, $seconds] = $argv;
$pdo = new PDO("sqlite:{$file}");
$pdo->exec('PRAGMA busy_timeout = 10000');
$pdo->exec('BEGIN IMMEDIATE');
$pdo->exec('update schools set updated_at = updated_at');
echo "held\n";
usleep((int) ((float) $seconds * 1_000_000));
$at = microtime(true);
$pdo->exec('COMMIT');
echo "released {$at}\n";
