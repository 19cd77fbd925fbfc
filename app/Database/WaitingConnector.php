<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connectors\SQLiteConnector;
use PDO;

/**
 * Opens SQLite with transactions that take the lock as they begin, and waits for it from the first statement on. A server that answers
 * one request after the other keeps its connection for the next, where the configuration says so.
 */
final class WaitingConnector extends SQLiteConnector
{
    /** By what PHP calls them: those whose requests come one after the other in the same process. */
    private const SERVERS = ['fpm-fcgi', 'cli-server'];

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
        if (($options[PDO::ATTR_PERSISTENT] ?? false) === true) {
            // Also where a request ends by running out of memory or time.
            register_shutdown_function($pdo->leave(...));
        }

        return $pdo;
    }

    /**
     * The order of the statements matters: what comes after may have to wait already.
     *
     * @param  array<string, mixed>  $config
     */
    public function connect(array $config): PDO
    {
        $pragmas = is_array($config['pragmas'] ?? null) ? $config['pragmas'] : [];
        $config['pragmas'] = ['busy_timeout' => $config['busy_timeout'] ?? 0, ...$pragmas];
        // SQLite asks for no name; PHP gives a connection that was kept to whoever gives the same one. Another file in the same place, as
        // after a backup was put back, is opened anew.
        $config['options'] = [PDO::ATTR_PERSISTENT => ($config['keeps_connections'] ?? false) === true && in_array(PHP_SAPI, self::SERVERS, true)];
        $config['username'] = is_string($config['database'] ?? null) && is_file($config['database']) ? (string) fileinode($config['database']) : null;

        return parent::connect($config);
    }
}
