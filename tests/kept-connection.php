<?php

declare(strict_types=1);

/* Answers over HTTP from a connection as the application's server keeps it, to a file of its own: /writes, /dies in the middle of writing, and what /is there. */

use App\Database\WaitingConnector;

require __DIR__.'/../vendor/autoload.php';

$pdo = (new WaitingConnector)->connect([
    'driver' => 'sqlite', 'database' => dirname((string) getenv('FILES_ROOT')).'/kept.sqlite', 'busy_timeout' => 5000, 'journal_mode' => 'wal', 'keeps_connections' => true,
]);
switch ($_SERVER['REQUEST_URI'] ?? '') {
    case '/writes':
        $pdo->exec("insert into words values ('written')");
        break;
    case '/dies':
        $pdo->beginTransaction();
        $pdo->exec("insert into words values ('half')");
        $pdo->exec('create temp table left_over as select * from words');
        ini_set('memory_limit', '8M');
        echo strlen(str_repeat('x', 100_000_000));
}
$column = static fn (string $sql): array => ($found = $pdo->query($sql)) === false ? [] : $found->fetchAll(PDO::FETCH_COLUMN);
header('Content-Type: application/json');
// Changes are counted from when the connection was opened.
echo json_encode([
    'words' => $column('select word from words order by rowid'), 'temporary' => $column('select count(*) from temp.sqlite_master')[0], 'changes' => $column('select total_changes()')[0],
], JSON_THROW_ON_ERROR);
