<?php

declare(strict_types=1);

namespace App\School\Letters;

use App\Access\SchoolAddress;
use App\Models\Person;
use App\Words\Say;

/** The letter with which somebody is brought in by the school: its welcome, where it writes one, with the link to sign in. */
final readonly class WelcomeNewcomer
{
    public function __construct(private LetterTexts $texts, private WriteLetters $write, private InTheirLanguage $language)
    {
    }

    /** Whoever was welcomed so is not welcomed again. */
    public static function once(Person $person): string
    {
        return "welcome {$person->id}";
    }

    /**
     * @param  list<Person>  $people
     * @return list<array{person: Person, subject: string, before: string, once: string, whole?: true}> whole: it addresses them itself
     */
    public function words(array $people): array
    {
        $settled = $this->texts->of(LetterKind::Welcome);
        $words = [];
        foreach ($people as $person) {
            $letter = $settled->on ? $this->write->sample($settled, LetterTo::person($person, ['address' => SchoolAddress::of('courses', [])])) : null;
            $words[] = $letter === null
                ? $this->language->say($person, static fn (): array => ['person' => $person, 'subject' => Say::text('letters.account.subject'), 'before' => Say::text('letters.account.before'), 'once' => self::once($person)])
                : ['person' => $person, 'subject' => $letter->subject, 'before' => rtrim(explode("\n-- \n", $letter->body)[0]), 'once' => self::once($person), 'whole' => true];
        }

        return $words;
    }
}
