<?php

declare(strict_types=1);

namespace App\Learning\Watching;

use SilentKeep\Core\Watching\InvalidReport;
use SilentKeep\Core\Watching\PlayedSegments;

/** An xAPI statement of a video player, as far as it is believed: who sent it is known from their session, not from what it says. */
final readonly class Statement
{
    /** Statements that are taken at once. */
    private const BATCH = 50;

    private const SEGMENTS = 'https://w3id.org/xapi/video/extensions/played-segments';

    private const TIME = 'https://w3id.org/xapi/video/extensions/time';

    /** Verbs of the video profile of xAPI: what others say of a video is not that it was played. */
    private const VERBS = ['https://w3id.org/xapi/video/verbs/played', 'https://w3id.org/xapi/video/verbs/paused', 'https://w3id.org/xapi/video/verbs/seeked', 'https://w3id.org/xapi/video/verbs/interacted', 'http://adlnet.gov/expapi/verbs/initialized', 'http://adlnet.gov/expapi/verbs/completed', 'http://adlnet.gov/expapi/verbs/terminated', 'https://w3id.org/xapi/video/verbs/initialized', 'https://w3id.org/xapi/video/verbs/completed', 'https://w3id.org/xapi/video/verbs/terminated'];

    /** @param  ?float  $at  seconds; where the player stood, where it says so */
    private function __construct(public string $id, public string $text, public PlayedSegments $played, public ?float $at)
    {
    }

    /**
     * @param  string  $json  one, or a list of them
     * @param  list<string>  $paths  of the lesson, in its addresses: what is said of anything else brings nothing here
     * @return list<self>
     *
     * @throws InvalidReport if any is no statement, or there are too many
     */
    public static function readAll(string $json, array $paths): array
    {
        $given = json_decode($json, true, 32);
        if (! is_array($given)) {
            throw InvalidReport::notAStatement();
        }
        $given = array_is_list($given) ? $given : [$given];
        if (count($given) > self::BATCH) {
            throw InvalidReport::tooMany(self::BATCH);
        }

        return array_map(static fn (mixed $one): self => self::read($one, $paths), $given);
    }

    /**
     * @param  mixed  $given  decoded JSON
     * @param  list<string>  $paths
     *
     * @throws InvalidReport if it is no statement, or its segments are none
     */
    private static function read(mixed $given, array $paths): self
    {
        $id = self::at($given, 'id');
        $verb = self::at($given, 'verb', 'id');
        if (! is_string($id) || preg_match('/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/Di', $id) !== 1 || ! is_string($verb)) {
            throw InvalidReport::notAStatement();
        }
        $segments = self::at($given, 'result', 'extensions', self::SEGMENTS) ?? '';
        if (! is_string($segments)) {
            throw InvalidReport::notAStatement();
        }

        $time = self::at($given, 'result', 'extensions', self::TIME);
        $played = PlayedSegments::parse($segments);
        $object = self::at($given, 'object', 'id');
        $path = is_string($object) ? parse_url($object, PHP_URL_PATH) : null;
        $counts = in_array($verb, self::VERBS, true) && is_string($path) && in_array(rawurldecode($path), $paths, true);

        return new self(strtolower($id), $segments, $counts ? $played : PlayedSegments::parse(''), (is_int($time) || is_float($time)) && is_finite((float) $time) && $time >= 0 ? (float) $time : null);
    }

    private static function at(mixed $given, string ...$path): mixed
    {
        foreach ($path as $key) {
            $given = is_array($given) ? $given[$key] ?? null : null;
        }

        return $given;
    }
}
