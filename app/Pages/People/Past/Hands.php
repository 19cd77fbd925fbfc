<?php

declare(strict_types=1);

namespace App\Pages\People\Past;

use App\Database\Value;
use App\Ledger\History\History;
use App\Ledger\Past\Entry;
use App\Words\Say;
use Illuminate\Support\Facades\DB;

/** Whose hand wrote an entry, in words. Names are read once each kind. */
final class Hands
{
    /** @var array<string, array<int, string>> names by kind and number */
    private array $names = [];

    /** @param  ?int  $self  of whom it is told; what they did themselves is nobody else's doing */
    public function of(Entry $entry, ?int $self): ?string
    {
        [$kind, $number] = [...explode(' ', $entry->by, 2), ''];
        $import = preg_match('/^import (\d+)/', $entry->cause, $file) === 1 ? $this->name('imports', 'name', (int) $file[1]) : null;
        if ($kind === 'person' && (int) $number === $self && $import === null) {
            return null;
        }
        $by = match ($kind) {
            'person' => $this->name('people', 'name', (int) $number) ?? Say::text('past_told.by.gone'),
            'trigger' => Say::text('past_told.by.trigger', ['name' => $this->name('triggers', 'name', (int) $number) ?? $number]),
            'token' => Say::text('past_told.by.token', ['name' => $this->name('personal_access_tokens', 'name', (int) $number) ?? $number]),
            'shop' => Say::text('past_told.by.shop'),
            'visitor' => Say::text('past_told.by.visitor'),
            'outside' => Say::text('past_told.by.outside'),
            default => $entry->cause === History::CAUSE ? null : Say::text('past_told.by.program'),
        };

        return $import === null ? $by : Say::text('past_told.by.import', ['name' => $import, 'by' => $by ?? '']);
    }

    private function name(string $table, string $column, int $number): ?string
    {
        if (! isset($this->names[$table][$number])) {
            $found = DB::table($table)->where('id', $number)->value($column);
            $this->names[$table][$number] = $found === null ? '' : Value::text($found);
        }

        return $this->names[$table][$number] === '' ? null : $this->names[$table][$number];
    }
}
