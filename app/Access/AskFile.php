<?php

declare(strict_types=1);

namespace App\Access;

use SilentKeep\Core\Foresight\Person;
use SilentKeep\Core\Format\Ask;
use SilentKeep\Core\Format\AskReader;
use SilentKeep\Core\Format\InvalidAsk;
use SilentKeep\Core\Format\JsonArrayStream;
use SilentKeep\Core\Outline\Plan;

/** Asks and people in files, read one after the other however many there are. */
final class AskFile
{
    private function __construct()
    {
    }

    /**
     * @return \Generator<int, mixed> decoded elements; one that is no JSON comes as null
     *
     * @throws InvalidAsk if the file cannot be read or holds no list
     */
    public static function elements(string $path): \Generator
    {
        $stream = is_file($path) ? fopen($path, 'r') : false;
        if ($stream === false) {
            throw InvalidAsk::at('', "there is no such file, or it may not be read: {$path}");
        }
        try {
            foreach ((new JsonArrayStream($stream))->elements() as $text) {
                yield json_decode($text, false, 128);
            }
        } finally {
            fclose($stream);
        }
    }

    /** @throws InvalidAsk */
    public static function one(string $path, Plan $plan): Ask
    {
        $text = is_file($path) ? file_get_contents($path) : false;
        if ($text === false) {
            throw InvalidAsk::at('', "there is no such file, or it may not be read: {$path}");
        }

        return (new AskReader($plan))->ask(json_decode($text, false, 128));
    }

    /**
     * @return \Generator<int, Person>
     *
     * @throws InvalidAsk with the number of the first person that is wrong
     */
    public static function people(string $path, Plan $before, Plan $after): \Generator
    {
        // An offer in neither plan is absent in both, which is no error.
        $reader = new AskReader($before, anyOffer: true);
        foreach (self::elements($path) as $index => $value) {
            if (! $value instanceof \stdClass || ! is_string($value->id ?? null)) {
                throw InvalidAsk::at("/{$index}/id", 'is missing or no text');
            }
            yield new Person($value->id, $reader->viewer($value->viewer ?? null, "/{$index}/viewer"));
        }
    }
}
