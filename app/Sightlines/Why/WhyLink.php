<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use OpenApi\Attributes as OA;

/** Where the rule behind a reason is, or how something can be seen as it would be. */
#[OA\Schema]
final readonly class WhyLink
{
    /**
     * @param  string  $to  rule, course, vantage, instant, rehearsal or school
     * @param  ?string  $item  the row of the rule
     * @param  ?string  $word  the word of its sentence
     * @param  ?string  $plan  its release plan
     * @param  ?string  $vantage  as addresses name it
     * @param  ?int  $at  instant
     */
    private function __construct(
        #[OA\Property(enum: ['rule', 'course', 'vantage', 'instant', 'rehearsal', 'school'])] public string $to,
        #[OA\Property] public string $text,
        #[OA\Property] public ?string $item = null,
        #[OA\Property] public ?string $word = null,
        #[OA\Property] public ?string $plan = null,
        #[OA\Property] public ?string $vantage = null,
        #[OA\Property] public ?int $at = null,
    ) {
    }

    public static function rule(string $text, string $item, ?string $word = null, ?string $plan = null): self
    {
        return new self('rule', $text, item: $item, word: $word, plan: $plan);
    }

    /** The form of the course itself: state, season and doors. */
    public static function course(string $text): self
    {
        return new self('course', $text);
    }

    public static function vantage(string $text, string $vantage, int $at): self
    {
        return new self('vantage', $text, vantage: $vantage, at: $at);
    }

    public static function instant(string $text, int $at): self
    {
        return new self('instant', $text, at: $at);
    }

    /** What publishing the draft would do to the people, where it is published. */
    public static function rehearsal(string $text): self
    {
        return new self('rehearsal', $text);
    }

    /** The settings of the school. */
    public static function school(string $text): self
    {
        return new self('school', $text);
    }
}
