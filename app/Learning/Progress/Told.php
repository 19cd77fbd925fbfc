<?php

declare(strict_types=1);

namespace App\Learning\Progress;

use App\Words\Say;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\InvalidTime;
use stdClass;

/** One xAPI statement (1.0.3), as far as it is looked at. What it says besides is kept with it. */
final readonly class Told
{
    /** Verbs of the vocabulary of xAPI by which an item is finished, unless the result says that it is not. */
    private const FINISHED = ['http://adlnet.gov/expapi/verbs/completed', 'http://adlnet.gov/expapi/verbs/passed', 'http://adlnet.gov/expapi/verbs/mastered'];

    /** Seconds by which the clock of a sender may be ahead. */
    private const AHEAD = 300;

    /** What whoever stores a statement sets, and what is not part of what it says. */
    private const NOT_SAID = ['id' => 0, 'stored' => 0, 'authority' => 0, 'version' => 0];

    /**
     * @param  ?string  $email  of whom it speaks
     * @param  ?int  $person  their id, where it names them by that
     * @param  int  $at  instant
     */
    private function __construct(public string $id, public ?string $email, public ?int $person, public string $course, public string $item, public bool $completes, public int $at, public string $digest, public string $body)
    {
    }

    /**
     * @param  string  $pointer  at which it stands
     * @param  string  $root  address of the school: accounts and activities are named below it
     * @param  string  $newId  for one that has none
     *
     * @throws StatementRefused
     */
    public static function read(mixed $given, string $pointer, string $root, int $now, string $newId): self
    {
        if (! $given instanceof stdClass) {
            throw new StatementRefused($pointer, Say::text('interface.statements.object'));
        }
        $id = $given->id ?? $newId;
        if (! is_string($id) || preg_match('/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/Di', $id) !== 1) {
            throw new StatementRefused("{$pointer}/id", Say::text('interface.statements.id'));
        }
        $verb = ($given->verb ?? null) instanceof stdClass ? $given->verb->id ?? null : null;
        if (! is_string($verb) || preg_match('/^[a-z][a-z0-9+.\-]*:\S+$/Diu', $verb) !== 1) {
            throw new StatementRefused("{$pointer}/verb/id", Say::text('interface.statements.verb'));
        }
        [$email, $person] = self::actor($given->actor ?? null, "{$pointer}/actor", $root);
        [$course, $item] = self::activity($given->object ?? null, "{$pointer}/object", $root);
        $result = ($given->result ?? null) instanceof stdClass ? $given->result : new stdClass;
        $completes = in_array($verb, self::FINISHED, true) && ($result->completion ?? true) !== false && ($result->success ?? true) !== false;

        return new self(strtolower($id), $email, $person, $course, $item, $completes, self::instant($given->timestamp ?? null, "{$pointer}/timestamp", $now), self::digest($given), json_encode($given, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE));
    }

    /**
     * @return array{?string, ?int} address, or id
     *
     * @throws StatementRefused
     */
    private static function actor(mixed $actor, string $pointer, string $root): array
    {
        $mbox = $actor instanceof stdClass ? $actor->mbox ?? null : null;
        if (is_string($mbox) && preg_match('/^mailto:(\S+@\S+)$/Di', $mbox, $found) === 1) {
            return [mb_strtolower($found[1]), null];
        }
        $account = $actor instanceof stdClass ? $actor->account ?? null : null;
        if ($account instanceof stdClass && is_string($account->homePage ?? null) && is_string($account->name ?? null) && rtrim($account->homePage, '/') === $root && preg_match('/^[1-9]\d{0,8}$/D', $account->name) === 1) {
            return [null, (int) $account->name];
        }
        throw new StatementRefused($pointer, Say::text('interface.statements.actor', ['root' => $root]));
    }

    /**
     * @return array{string, string} course and item
     *
     * @throws StatementRefused
     */
    private static function activity(mixed $object, string $pointer, string $root): array
    {
        $id = $object instanceof stdClass && ($object->objectType ?? 'Activity') === 'Activity' ? $object->id ?? null : null;
        $path = is_string($id) && str_starts_with($id, "{$root}/courses/") ? explode('/', substr($id, strlen("{$root}/courses/"))) : [];

        return count($path) === 2 && $path[0] !== '' && $path[1] !== '' ? [rawurldecode($path[0]), rawurldecode($path[1])] : throw new StatementRefused("{$pointer}/id", Say::text('interface.statements.activity', ['root' => $root]));
    }

    /** @throws StatementRefused */
    private static function instant(mixed $timestamp, string $pointer, int $now): int
    {
        if ($timestamp === null) {
            return $now;
        }
        try {
            $at = is_string($timestamp) ? Instant::parse($timestamp) : throw InvalidTime::notAnInstant('');
        } catch (InvalidTime) {
            throw new StatementRefused($pointer, Say::text('interface.parameters_told.instant'));
        }

        return $at <= $now + self::AHEAD ? min($at, $now) : throw new StatementRefused($pointer, Say::text('interface.statements.future'));
    }

    /** Whatever the order of its members. */
    private static function digest(stdClass $given): string
    {
        return hash('sha256', json_encode(self::ordered(array_diff_key((array) $given, self::NOT_SAID)), JSON_THROW_ON_ERROR));
    }

    private static function ordered(mixed $value): mixed
    {
        if ($value instanceof stdClass || is_array($value)) {
            $members = array_map(self::ordered(...), (array) $value);
            if ($value instanceof stdClass || ! array_is_list($members)) {
                ksort($members, SORT_STRING);
            }

            return $members;
        }

        return $value;
    }
}
