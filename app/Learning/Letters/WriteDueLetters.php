<?php

declare(strict_types=1);

namespace App\Learning\Letters;

use App\School\Letters\LetterKind;
use App\School\Letters\LetterTexts;
use App\School\Letters\WriteLetters;
use Illuminate\Support\Facades\DB;

/**
 * Writes what is due: each letter once, however often and however late this runs. What came about is looked up, not listened
 * for: a pass that was given in error and taken back at once is written of to nobody.
 */
final readonly class WriteDueLetters
{
    public function __construct(
        private LetterTexts $texts,
        private WriteLetters $write,
        private Welcomes $welcomes,
        private PassesGiven $given,
        private PassesEnding $ending,
        private PassesEnded $ended,
        private OpenedToday $opened,
    ) {
    }

    /** @return array<string, int> how many were written, by kind; of those kinds that the school writes */
    public function __invoke(): array
    {
        $written = [];
        foreach ($this->texts->all() as $settled) {
            $due = $this->of($settled->kind);
            if ($due === null || ! $settled->on) {
                continue;
            }
            $written[$settled->kind->value] = 0;
            foreach ($due->due($settled) as $letters) {
                $written[$settled->kind->value] += DB::transaction(fn (): int => ($this->write)($settled->kind, $letters));
            }
        }

        return $written;
    }

    /** Null where something else has it written. */
    private function of(LetterKind $kind): ?DueLetter
    {
        return match ($kind) {
            LetterKind::Welcome => $this->welcomes,
            LetterKind::PassGiven => $this->given,
            LetterKind::EndsSoon => $this->ending,
            LetterKind::Ended => $this->ended,
            LetterKind::OpenedToday => $this->opened,
            LetterKind::TrialEnds, LetterKind::Observer, LetterKind::NextRun, LetterKind::ByHand => null,
        };
    }
}
