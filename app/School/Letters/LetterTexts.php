<?php

declare(strict_types=1);

namespace App\School\Letters;

use App\Models\LetterText;

/** What the school has settled of its letters. */
final readonly class LetterTexts
{
    public function of(LetterKind $kind): SettledLetter
    {
        return self::settled($kind, LetterText::query()->where('kind', $kind->value)->first());
    }

    /** @return list<SettledLetter> of all kinds that have words of their own: one query */
    public function all(): array
    {
        $texts = LetterText::query()->get()->keyBy('kind');

        return array_map(static fn (LetterKind $kind): SettledLetter => self::settled($kind, $texts->get($kind->value)), LetterKind::written());
    }

    private static function settled(LetterKind $kind, ?LetterText $text): SettledLetter
    {
        [$subject, $body] = $kind === LetterKind::ByHand ? ['', ''] : $kind->usual();

        return new SettledLetter(
            $kind,
            $text->on ?? $kind->isOnAtFirst(),
            $text->days ?? $kind->daysAtFirst(),
            $text->hour ?? $kind->hourAtFirst(),
            $text->subject ?? $subject,
            $text->body ?? $body,
            $text?->since->getTimestamp() ?? 0,
            $text->version ?? 0,
            isOwn: ($text->subject ?? $text?->body) !== null,
        );
    }
}
