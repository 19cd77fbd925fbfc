<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connectors\SQLiteConnector;

/** Opens SQLite with transactions that take the lock as they begin, and waits for it from the first statement on. */
final class WaitingConnector extends SQLiteConnector
{
    /**
     * @param  string  $dsn
     * @param  ?string  $username
     * @param  ?string  $password
     * @param  array<int, mixed>  $options
     */
    protected function createPdoConnection($dsn, $username, #[\SensitiveParameter] $password, $options): ImmediatePdo
    {
        $pdo = new ImmediatePdo($dsn, $username, $password, $options);
        LedgerWords::teach($pdo);

        return $pdo;
    }

    /**
     * The order of the statements matters: what comes after may have to wait already.
     *
     * @param  array<string, mixed>  $config
     */
    public function connect(array $config): \PDO
    {
        $pragmas = is_array($config['pragmas'] ?? null) ? $config['pragmas'] : [];
        $config['pragmas'] = ['busy_timeout' => $config['busy_timeout'] ?? 0, ...$pragmas];

        return parent::connect($config);
    }
}
