<?php

declare(strict_types=1);

namespace App\Models;

/** What is to happen beside the rules when a draft that retires its course goes live. Thrown away with the draft. */
final readonly class Retirement
{
    /**
     * @param  int  $by  who planned it
     * @param  bool  $forGood  whether present passes are to last for good
     * @param  bool  $listed  whether the front names the course among those that are over
     * @param  bool  $takesNextRun  whether people can ask to be told when it runs again
     * @param  ?string  $address  null: its key
     * @param  'closing'|'nothing'  $oldAddress  where it has another address: what its key leads to
     */
    public function __construct(public int $by, public bool $forGood, public bool $listed, public bool $takesNextRun, public ?string $address, public string $oldAddress)
    {
    }

    /** Null where the row says nothing that can be read. */
    public static function of(?string $json): ?self
    {
        $said = json_decode($json ?? '', true);

        return ! is_array($said) || ! is_int($said['by'] ?? null) ? null : new self(
            $said['by'],
            ($said['for_good'] ?? false) === true,
            ($said['listed'] ?? false) === true,
            ($said['takes_next_run'] ?? false) === true,
            is_string($said['address'] ?? null) ? $said['address'] : null,
            ($said['old_address'] ?? '') === 'nothing' ? 'nothing' : 'closing',
        );
    }

    public function toJson(): string
    {
        return json_encode(['by' => $this->by, 'for_good' => $this->forGood, 'listed' => $this->listed, 'takes_next_run' => $this->takesNextRun, 'address' => $this->address, 'old_address' => $this->oldAddress], JSON_THROW_ON_ERROR);
    }

    /** @return array<string, mixed> columns of its course */
    public function columns(): array
    {
        return ['listed_over' => $this->listed, 'takes_next_run' => $this->takesNextRun, 'address' => $this->address, 'old_address' => $this->oldAddress];
    }
}
