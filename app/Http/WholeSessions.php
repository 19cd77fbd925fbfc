<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Session\FileSessionHandler;

/**
 * Sessions in files that are replaced in one step: whoever is answered as the machine stops is still signed in when it is
 * back. A session that has ended while a page was put together stays ended: that page brings it back to nobody.
 */
final class WholeSessions extends FileSessionHandler
{
    /** @var array<string, true> ids of sessions that were there when they were read */
    private array $read = [];

    /** @param  string  $sessionId */
    public function read($sessionId): string
    {
        $data = (string) parent::read($sessionId);
        unset($this->read[$sessionId]);
        if ($data !== '') {
            $this->read[$sessionId] = true;
        }

        return $data;
    }

    /**
     * @param  string  $sessionId
     * @param  string  $data
     */
    public function write($sessionId, $data): bool
    {
        clearstatcache(true, $this->path.'/'.$sessionId);
        if (! isset($this->read[$sessionId]) || $this->files->isFile($this->path.'/'.$sessionId)) {
            $this->files->replace($this->path.'/'.$sessionId, $data, 0600);
        }

        return true;
    }
}
