<?php

declare(strict_types=1);

namespace App\Pages\People\Past;

use App\Database\Value;
use App\Ledger\History\History;
use App\Ledger\Past\Entry;
use App\Words\Say;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Whose hands wrote entries, and whom they name, in words. The names are read at once, however many there are. */
final readonly class Hands
{
    /** Where the names of each kind stand. */
    private const NAMES = ['person' => 'people', 'trigger' => 'triggers', 'token' => 'personal_access_tokens', 'import' => 'imports'];

    /** @param  array<string, array<int, string>>  $names  by kind and number */
    private function __construct(private array $names, private bool $named)
    {
    }

    /**
     * Of all that is told of somebody at a course: six queries.
     *
     * @param  list<int>  $people  of whom the ledger is read
     * @param  bool  $named  false: other people are told of and not named
     */
    public static function of(array $people, int $course, bool $named): self
    {
        $numbers = array_fill_keys(array_keys(self::NAMES), []);
        $theirs = DB::table('ledger')->whereIntegerInRaw('person_id', $people);
        $schools = DB::table('ledger')->whereNull('person_id')->whereIn('subject', ['schools', 'offers', 'courses', 'revisions'])->where(static fn (Builder $of): Builder => $of->where('course_id', $course)->orWhereIn('subject', ['schools', 'offers']));
        foreach ($theirs->select('by', 'cause')->union($schools->select('by', 'cause'))->get() as $hand) {
            foreach ([Value::text($hand->by), Value::text($hand->cause)] as $told) {
                if (preg_match('/^(person|trigger|token|import) (\d+)/', $told, $found) === 1) {
                    $numbers[$found[1]][] = (int) $found[2];
                }
            }
        }
        // Whoever observed them, and whom they observed: among what is theirs, not among all ties.
        foreach (DB::table('ledger')->whereRaw("subject || '' = 'observer_ties'")->whereIntegerInRaw('person_id', $people)->get(['content']) as $tie) {
            $content = json_decode(Value::text($tie->content), true);
            $numbers['person'][] = Value::int(is_array($content) ? $content['observer_id'] ?? 0 : 0);
        }
        array_push($numbers['person'], ...$people);

        $names = [];
        foreach (self::NAMES as $kind => $table) {
            $names[$kind] = self::read($table, $numbers[$kind]);
        }

        return new self($names, $named);
    }

    /** @param  ?int  $self  of whom it is told; what they did themselves is nobody else's doing */
    public function by(Entry $entry, ?int $self): ?string
    {
        [$kind, $number] = [...explode(' ', $entry->by, 2), ''];
        $import = preg_match('/^import (\d+)/', $entry->cause, $file) === 1 ? $this->name('import', (int) $file[1]) : null;
        if ($kind === 'person' && (int) $number === $self && $import === null) {
            return null;
        }
        $by = match ($kind) {
            'person' => $this->named ? $this->person((int) $number) : Say::text('past_told.by.school'),
            'trigger' => Say::text('past_told.by.trigger', ['name' => $this->name('trigger', (int) $number) ?? $number]),
            'token' => Say::text('past_told.by.token', ['name' => $this->name('token', (int) $number) ?? $number]),
            'shop' => Say::text('past_told.by.shop'),
            'visitor' => Say::text('past_told.by.visitor'),
            'outside' => Say::text('past_told.by.outside'),
            default => $entry->cause === History::CAUSE ? null : Say::text('past_told.by.program'),
        };

        return $import === null ? $by : Say::text('past_told.by.import', ['name' => $import, 'by' => $by ?? '']);
    }

    /** Somebody's name; of whoever is there no more, that. */
    public function person(int $number): string
    {
        return $this->named ? $this->name('person', $number) ?? Say::text('past_told.by.gone') : Say::text('past_told.by.somebody');
    }

    private function name(string $kind, int $number): ?string
    {
        return $this->names[$kind][$number] ?? null;
    }

    /**
     * @param  list<int>  $numbers
     * @return array<int, string>
     */
    private static function read(string $table, array $numbers): array
    {
        $names = [];
        foreach (DB::table($table)->whereIntegerInRaw('id', array_unique($numbers))->orderBy('id')->pluck('name', 'id') as $id => $name) {
            $names[(int) $id] = Value::text($name);
        }

        return $names;
    }
}
