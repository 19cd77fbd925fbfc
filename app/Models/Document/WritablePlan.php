<?php

declare(strict_types=1);

namespace App\Models\Document;

/** A release plan of a document that is changed in place: when its items open and close. */
final readonly class WritablePlan
{
    public function __construct(private \stdClass $json)
    {
    }

    public static function none(): self
    {
        return new self(new \stdClass);
    }

    public function read(): DocumentPlan
    {
        return new DocumentPlan($this->json);
    }

    /**
     * @param  'opens'|'closes'  $when
     * @param  ?DocumentTime  $rule  null: no rule of its own
     */
    public function set(string $item, string $when, ?DocumentTime $rule): void
    {
        $entry = ($this->json->{$item} ?? null) instanceof \stdClass ? $this->json->{$item} : new \stdClass;
        if ($rule === null) {
            unset($entry->{$when});
        } else {
            $entry->{$when} = $rule->raw();
        }
        if (get_object_vars($entry) === []) {
            $this->forget($item);
        } else {
            $this->json->{$item} = $entry;
        }
    }

    /** Says of an item what it says of another, or nothing as it does of that. */
    public function copy(string $from, string $to): void
    {
        $this->forget($to);
        if (isset($this->json->{$from})) {
            $this->json->{$to} = json_decode((string) json_encode($this->json->{$from}, JSON_PRESERVE_ZERO_FRACTION));
        }
    }

    public function forget(string $item): void
    {
        unset($this->json->{$item});
    }
}
