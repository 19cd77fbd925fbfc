<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use App\Pages\Triggers\FormQuestion;
use OpenApi\Attributes as OA;

/** A small form of the school, for anybody. */
#[OA\Schema]
final readonly class FormPage
{
    /**
     * @param  string  $html  sanitised, above its fields; once it is sent, what is said then
     * @param  string  $consent  what is agreed to; empty: nothing is asked
     * @param  list<FormQuestion>  $questions
     * @param  bool  $asksWho  whether a name and an address are to be given
     * @param  string  $once  made for this page: it is sent once
     */
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $html,
        #[OA\Property] public string $consent,
        #[OA\Property(items: new OA\Items(ref: FormQuestion::class))] public array $questions,
        #[OA\Property] public bool $asksWho,
        #[OA\Property] public string $once,
        #[OA\Property] public bool $sent,
    ) {
    }
}
