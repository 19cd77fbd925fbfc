<?php

declare(strict_types=1);

namespace App\Pages\Learner\Shared;

/** What a page says of itself to whoever does not read it: a search, or a message in which it is linked to. Not a prop: it stands in the head. */
final readonly class PageHead
{
    /**
     * @param  string  $title  with the school's name
     * @param  string  $description  empty: none
     * @param  ?string  $address  the one under which it is to be known, with the school's own; null: it is not to be found
     * @param  ?string  $picture  likewise
     */
    private function __construct(public string $title, public string $school, public string $description, public ?string $address, public ?string $picture)
    {
    }

    public static function found(string $title, string $school, string $description, string $address, string $picture): self
    {
        return new self($title === '' ? $school : "{$title} · {$school}", $school, self::short($description), $address, $picture);
    }

    public static function hidden(string $title, string $school): self
    {
        return new self($title === '' ? $school : "{$title} · {$school}", $school, '', null, null);
    }

    private static function short(string $text): string
    {
        $text = trim((string) preg_replace('/\s+/u', ' ', html_entity_decode(strip_tags($text), ENT_QUOTES | ENT_HTML5)));

        return mb_strlen($text) <= 180 ? $text : rtrim((string) preg_replace('/\s\S*$/u', '', mb_substr($text, 0, 179)), ' ,;:').'…';
    }
}
