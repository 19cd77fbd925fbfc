<?php

declare(strict_types=1);

namespace App\Privacy\Erasing;

use App\Database\Value;
use App\Models\Activity;
use App\Models\Person;

/** What somebody was called and written to, in every form in which it may be stored: as it is, in JSON, in an address of the web. */
final readonly class Sought
{
    /** A name of one word is one of the language: it is theirs only where it is all of a text. */
    private const WORDS = '/\S\s+\S/u';

    /**
     * @param  list<string>  $names
     * @param  list<string>  $addresses  in small letters
     */
    public function __construct(public array $names, public array $addresses)
    {
    }

    /** What they are called now, and were before it was corrected. */
    public static function of(Person $person): self
    {
        [$names, $addresses] = [[$person->name], array_filter([$person->email, $person->claimed_email])];
        foreach (Activity::query()->where('person_id', $person->id)->where('action', 'person.corrected')->orderBy('id')->get() as $line) {
            $names[] = Value::text($line->before['name'] ?? '');
            $addresses[] = Value::text($line->before['email'] ?? '');
        }
        $whole = static fn (array $texts): array => array_values(array_unique(array_filter(array_map(static fn (string $text): string => trim($text), Value::texts($texts)), static fn (string $text): bool => mb_strlen($text) > 1)));

        return new self($whole($names), array_map(mb_strtolower(...), $whole($addresses)));
    }

    /** @param  array<array-key, mixed>  $kept */
    public static function from(array $kept): self
    {
        return new self(Value::texts((array) ($kept['names'] ?? [])), Value::texts((array) ($kept['addresses'] ?? [])));
    }

    /** @return array{names: list<string>, addresses: list<string>} */
    public function kept(): array
    {
        return ['names' => $this->names, 'addresses' => $this->addresses];
    }

    /** The same without the names: another has one of them, too. */
    public function addressesAlone(): self
    {
        return new self([], $this->addresses);
    }

    /** @return list<string> to be looked for anywhere in a text, whatever the case of letters is */
    public function anywhere(): array
    {
        $forms = [];
        foreach ([...array_filter($this->names, self::isTelling(...)), ...$this->addresses] as $text) {
            array_push($forms, $text, self::inJson($text), rawurlencode($text), urlencode($text));
        }
        foreach (array_filter($this->names, static fn (string $name): bool => ! self::isTelling($name)) as $name) {
            array_push($forms, '"'.$name.'"', '"'.self::inJson($name).'"');
        }

        return array_values(array_unique($forms));
    }

    public function isIn(string $text): bool
    {
        foreach ($this->anywhere() as $form) {
            if (mb_stripos($text, $form) !== false) {
                return true;
            }
        }

        return in_array($text, $this->names, true);
    }

    /** The text with somebody else in their place. */
    public function replaced(string $text, string $name, string $address): string
    {
        if (in_array($text, $this->names, true)) {
            return $name;
        }
        foreach ($this->anywhere() as $form) {
            $instead = str_contains($form, '@') || str_contains($form, '%40') ? $address : $name;
            $quoted = str_starts_with($form, '"');
            $pattern = $quoted ? preg_quote($form, '/') : '(?<![\p{L}\p{N}])'.preg_quote($form, '/').'(?![\p{L}\p{N}])';
            $text = preg_replace("/{$pattern}/iu", $quoted ? "\"{$instead}\"" : $instead, $text) ?? $text;
        }

        return $text;
    }

    private static function isTelling(string $name): bool
    {
        return preg_match(self::WORDS, $name) === 1;
    }

    private static function inJson(string $text): string
    {
        return substr((string) json_encode($text), 1, -1);
    }
}
