<?php

declare(strict_types=1);

namespace App\Triggers\Outside;

use App\Access\SchoolAddress;
use App\Access\SchoolClock;
use App\Models\IncomingEvent;
use App\Models\OutsideSystem;
use App\Triggers\Happening\Happening;
use Illuminate\Support\Facades\DB;

/**
 * Takes what a system of others says came about, once it is known to be theirs: signed with their secret, not long ago, and not the
 * copy of a message that came before. The same event in a message of its own, as after a lost answer, does nothing more.
 */
final readonly class TakeEvent
{
    public function __construct(private SchoolClock $clock)
    {
    }

    /**
     * Who has sent it; null where the signature does not hold.
     *
     * @param  array<string, string>  $headers  by name
     */
    public function sender(string $path, string $body, array $headers): ?OutsideSystem
    {
        $named = preg_match('/;keyid="outside-(\d{1,9})";/', $headers['Signature-Input'] ?? '', $found) === 1 ? (int) $found[1] : 0;
        $system = OutsideSystem::query()->where('on', true)->find($named);
        // Who is known here is not told by how long it takes.
        $holds = HttpSignature::holds(SchoolAddress::root().$path, $body, $headers, $system->secret ?? str_repeat('0', 43), $this->clock->now());

        return $holds ? $system : null;
    }

    /**
     * @param  string  $signature  by which it came
     * @return ?bool whether it is new; null: the message is a copy
     */
    public function __invoke(OutsideSystem $system, int $person, string $source, string $event, string $type, string $body, string $signature): ?bool
    {
        $row = ['outside_system_id' => $system->id, 'person_id' => $person, 'source' => $source, 'event' => $event, 'type' => $type, 'body' => $body, 'signature' => $signature, 'received_at' => Happening::stamp($this->clock->now())];

        return DB::transaction(static function () use ($row): ?bool {
            if (IncomingEvent::query()->where('signature', $row['signature'])->exists()) {
                return null;
            }

            return IncomingEvent::query()->insertOrIgnore($row) === 1;
        });
    }
}
