<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use App\Words\Say;
use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** What the last action did, told on the next page: `back()->with(Flash::done('Saved.'))`. */
#[OA\Schema]
final readonly class Flash
{
    /**
     * @param  string  $kind  done, refused, asks or collision
     * @param  list<Sentence>  $lines
     * @param  ?int  $undo  number of what was done to people, where it can be taken back
     * @param  ?string  $again  path at which it is asked to be taken back, otherwise
     * @param  list<Sentence>  $mine  in a collision: what was not saved
     */
    public function __construct(
        #[OA\Property(enum: ['done', 'refused', 'asks', 'collision'])] public string $kind,
        #[OA\Property] public string $text,
        #[OA\Property(items: new OA\Items(ref: Sentence::class))] public array $lines,
        #[OA\Property(items: new OA\Items(ref: Sentence::class))] public array $mine = [],
        #[OA\Property] public ?int $undo = null,
        #[OA\Property] public ?string $again = null,
    ) {
    }

    /**
     * @param  list<Sentence>  $lines
     * @return array{flash: array<string, mixed>} for the next page of a session
     */
    public static function done(string $text, array $lines = [], ?int $undo = null, ?string $again = null): array
    {
        return (new self('done', $text, $lines, undo: $undo, again: $again))->next();
    }

    /** @return array{flash: array<string, mixed>} */
    public static function refused(string $text): array
    {
        return (new self('refused', $text, []))->next();
    }

    /** @return array{flash: array<string, mixed>} where another has saved what was being written here */
    public static function meanwhile(string $what): array
    {
        return self::refused(Say::text('pages.flash.somebody_else_has_changed', ['what' => $what]));
    }

    /**
     * @param  list<Sentence>  $lines  what it would come to
     * @return array{flash: array<string, mixed>}
     */
    public static function asks(string $text, array $lines): array
    {
        return (new self('asks', $text, $lines))->next();
    }

    /**
     * @param  list<Sentence>  $theirs
     * @param  list<Sentence>  $mine  what was not saved
     * @return array{flash: array<string, mixed>}
     */
    public static function collision(string $text, array $theirs, array $mine): array
    {
        return (new self('collision', $text, $theirs, $mine))->next();
    }

    /** @return array{flash: array<string, mixed>} */
    private function next(): array
    {
        return ['flash' => get_object_vars($this)];
    }
}
