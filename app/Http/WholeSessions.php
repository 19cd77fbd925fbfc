<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Session\FileSessionHandler;

/** Sessions in files that are replaced in one step: whoever is answered as the machine stops is still signed in when it is back. */
final class WholeSessions extends FileSessionHandler
{
    /**
     * @param  string  $sessionId
     * @param  string  $data
     */
    public function write($sessionId, $data): bool
    {
        $this->files->replace($this->path.'/'.$sessionId, $data, 0600);

        return true;
    }
}
