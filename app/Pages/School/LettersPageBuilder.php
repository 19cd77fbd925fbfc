<?php

declare(strict_types=1);

namespace App\Pages\School;

use App\Access\SchoolOf;
use App\Learning\Letters\LetterSample;
use App\Models\LetterChoice;
use App\Models\Person;
use App\Pages\Notices\PlaceholderRow;
use App\School\Letters\InTheirLanguage;
use App\School\Letters\LetterKind;
use App\School\Letters\LetterTexts;
use App\School\Letters\LetterWords;
use App\School\Letters\SettledLetter;
use App\School\Letters\WriteLetters;
use App\Standins\Mail\Letter;
use App\Words\Say;

/** Puts together what an administrator sees of the school's letters. */
final readonly class LettersPageBuilder
{
    public function __construct(private LetterTexts $texts, private LetterSample $sample, private WriteLetters $write, private SchoolOf $school, private InTheirLanguage $language)
    {
    }

    public function page(LetterKind $open, Person $looks, bool $mayEdit): LettersPage
    {
        $said = LetterChoice::query()->selectRaw('kind, wanted, count(*) as people')->groupBy('kind', 'wanted')->toBase()->get();
        $people = [];
        foreach ($said as $row) {
            $people[$row->kind][(int) $row->wanted] = (int) $row->people;
        }
        $names = array_values(array_unique(array_merge(...array_map(static fn (LetterKind $kind): array => $kind->placeholders(), LetterKind::written()))));

        return new LettersPage(
            array_map(static fn (SettledLetter $one): LetterRow => new LetterRow(
                $one->kind->value, $one->kind->title(), $one->kind->told(), $one->on, $one->kind->isAskedFor(), $one->days, $one->hour, $one->subject, $one->body, $one->version, $one->isOwn(),
                $people[$one->kind->value][$one->kind->isAskedFor() ? 1 : 0] ?? 0, $one->kind->placeholders(),
            ), $this->texts->all()),
            array_map(static fn (string $name): PlaceholderRow => new PlaceholderRow($name, Say::text("letters.placeholders.{$name}")), $names),
            $open->value,
            $looks->address(),
            $mayEdit,
        );
    }

    /** With words that are not kept yet. */
    public function preview(LetterKind $kind, string $subject, string $body): LetterPreview
    {
        $letter = $this->filled($kind, $subject, $body, Say::text('pages.notices_page_builder.eira_holm'), 'eira@alder.test');

        return new LetterPreview(($this->school)()->name, $letter->to, $letter->subject, $letter->body, LetterWords::unknownIn($kind, "{$subject}\n{$body}"));
    }

    /** One to whoever looks, with those words. */
    public function toMyself(LetterKind $kind, string $subject, string $body, Person $looks): Letter
    {
        $letter = $this->filled($kind, $subject, $body, $looks->name, $looks->address());

        return new Letter($looks->id, $letter->to, $letter->subject, $letter->body);
    }

    private function filled(LetterKind $kind, string $subject, string $body, string $name, string $address): Letter
    {
        // As whoever reads in the language of the school gets it.
        return $this->language->say(null, fn (): Letter => $this->write->sample(new SettledLetter($kind, on: true, days: null, hour: null, subject: $subject, body: $body, since: 0, version: 0, isSubjectOwn: true, isBodyOwn: true), $this->sample->to($kind, $name, $address)));
    }
}
