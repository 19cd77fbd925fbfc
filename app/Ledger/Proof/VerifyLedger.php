<?php

declare(strict_types=1);

namespace App\Ledger\Proof;

use App\Database\Dialects;
use App\Database\Value;
use App\Ledger\Rebuilding\PresentTables;
use Illuminate\Support\Facades\DB;

/** Reads the whole ledger and says what is not as it was written: entries altered, missing or in another order; where there are none of these, also documents and rows that are not as it says. */
final readonly class VerifyLedger
{
    public function __construct(private Chain $chain, private PresentTables $present)
    {
    }

    /**
     * @param  list<Head>  $heads  noted elsewhere when they were the last entries
     * @return array{entries: int, findings: list<Finding>}
     */
    public function __invoke(array $heads = []): array
    {
        ['entries' => $entries, 'findings' => $findings] = $this->chain->read($heads);

        // What is not as it was written cannot say how anything else is to be.
        return ['entries' => $entries, 'findings' => $findings !== [] ? $findings : [...self::documents(), ...$this->rows()]];
    }

    /** @return list<Finding> */
    private static function documents(): array
    {
        $dialect = Dialects::spoken();
        $revisions = DB::table('revisions as r')->join('ledger as l', 'l.row_id', '=', 'r.id')->whereNull('l.person_id')->where('l.subject', 'revisions')->where('l.what', 'made')
            ->whereRaw("{$dialect->digest('r.document')} is distinct from {$dialect->member('revisions', 'l.content', 'document')}")->orderBy('r.id')->pluck('r.id');

        return array_map(static fn (string $revision): Finding => new Finding('document', $revision), Value::texts($revisions));
    }

    /** @return list<Finding> */
    private function rows(): array
    {
        $findings = [];
        foreach ($this->present->differences() as $table => $difference) {
            $difference->count() === 0 || $findings[] = new Finding('row', "{$table}, first {$difference->first}", $difference->count());
        }

        return $findings;
    }
}
