<?php

declare(strict_types=1);

namespace App\School\Letters;

use App\Access\SchoolAddress;
use App\Access\SchoolOf;
use App\Models\Person;
use App\Standins\Mail\Letter;
use App\Standins\Mail\Mailer;
use App\Words\Say;

/** Writes the letters of the school, in its words, to those who want them; each says how to stop the like of it. */
final readonly class WriteLetters
{
    public function __construct(private LetterTexts $texts, private LetterChoices $choices, private SchoolOf $school, private Mailer $mailer, private InTheirLanguage $language)
    {
    }

    /**
     * To be called inside the transaction of what they tell of.
     *
     * @param  list<LetterTo>  $to
     * @return int how many were written
     */
    public function __invoke(LetterKind $kind, array $to): int
    {
        $letters = array_values(array_filter($this->made($kind, $to)));
        $this->mailer->send($letters);

        return count($letters);
    }

    /**
     * @param  list<LetterTo>  $to
     * @return list<?Letter> in the same order; null where there is none: the school does not write it, or they do not want it
     */
    public function made(LetterKind $kind, array $to): array
    {
        $settled = $this->texts->of($kind);

        return $settled->on ? $this->written($settled, $to) : array_map(static fn (): null => null, $to);
    }

    /**
     * What somebody writes by hand.
     *
     * @param  list<array{Person, string, string}>  $letters  to whom, subject and body
     * @return list<?Letter> in the same order; null where they do not want it
     */
    public function byHand(array $letters): array
    {
        $wanting = $this->choices->wanting(LetterKind::ByHand, array_map(static fn (array $one): int => $one[0]->id, $letters));

        return array_map(fn (array $one): ?Letter => isset($wanting[$one[0]->id]) ? $this->letter(LetterKind::ByHand, LetterTo::person($one[0], []), $one[1], rtrim($one[2])."\n") : null, $letters);
    }

    /** As it would be, whoever wants it. */
    public function sample(SettledLetter $settled, LetterTo $to): Letter
    {
        return $this->filled($settled, $to);
    }

    /**
     * @param  list<LetterTo>  $to
     * @return list<?Letter>
     */
    private function written(SettledLetter $settled, array $to): array
    {
        $people = array_values(array_filter(array_map(static fn (LetterTo $one): ?int => $one->personId, $to)));
        $wanting = $people === [] ? [] : $this->choices->wanting($settled->kind, $people);

        return array_map(fn (LetterTo $one): ?Letter => $one->personId === null || isset($wanting[$one->personId]) ? $this->filled($settled, $one) : null, $to);
    }

    private function filled(SettledLetter $settled, LetterTo $to): Letter
    {
        $school = ($this->school)();
        $words = new LetterWords($settled->kind, ['name' => $to->name, 'school' => $school->name, 'contact' => $school->contact_email ?? '', ...$to->values]);

        [$subject, $body] = $this->language->say($to->reader, $settled->words(...));

        return $this->letter($settled->kind, $to, $words->subject($subject), $words->body($body));
    }

    private function letter(LetterKind $kind, LetterTo $to, string $subject, string $body): Letter
    {
        $stop = $to->stop ?? ($to->personId === null ? null : self::stopAddress($kind, $to->personId));
        $foot = $stop === null ? '' : "\n-- \n".$this->language->say($to->reader, static fn (): string => Say::text('letters.foot', ['stop' => $stop]))."\n";

        return new Letter($to->personId, $to->address, $subject, $body.$foot, $to->once, kind: $kind->value, stop: $stop);
    }

    private static function stopAddress(LetterKind $kind, int $person): string
    {
        return SchoolAddress::signed('letters.stop', ['person' => $person, 'kind' => $kind->value]);
    }
}
