<?php

declare(strict_types=1);

namespace App\School\Letters;

use App\Models\LetterText;

/** What the school has settled of its letters. */
final readonly class LetterTexts
{
    public function __construct(private InTheirLanguage $language)
    {
    }

    public function of(LetterKind $kind): SettledLetter
    {
        return $this->settled($kind, LetterText::query()->where('kind', $kind->value)->first());
    }

    /** @return list<SettledLetter> of all kinds that have words of their own: one query */
    public function all(): array
    {
        $texts = LetterText::query()->get()->keyBy('kind');

        return array_map(fn (LetterKind $kind): SettledLetter => $this->settled($kind, $texts->get($kind->value)), LetterKind::written());
    }

    private function settled(LetterKind $kind, ?LetterText $text): SettledLetter
    {
        [$subject, $body] = $kind === LetterKind::ByHand ? ['', ''] : $this->language->say(null, $kind->usual(...));

        return new SettledLetter(
            $kind,
            $text->on ?? $kind->isOnAtFirst(),
            $text->days ?? $kind->daysAtFirst(),
            $text->hour ?? $kind->hourAtFirst(),
            $text->subject ?? $subject,
            $text->body ?? $body,
            $text?->since->getTimestamp() ?? 0,
            $text->version ?? 0,
            isSubjectOwn: $text?->subject !== null,
            isBodyOwn: $text?->body !== null,
        );
    }
}
