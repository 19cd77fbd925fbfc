<?php

declare(strict_types=1);

namespace App\Http\Api\Document;

use App\Http\Api\Problems\ProblemKind;
use Attribute;

/** What an operation of the interface takes and answers. Its address, its method and who may are those of its route. */
#[Attribute(Attribute::TARGET_METHOD)]
final readonly class Operation
{
    /**
     * @param  ?class-string  $answers  null: nothing is sent back
     * @param  ?class-string  $takes  what is to be sent
     * @param  list<ProblemKind>  $problems  besides those that may be answered everywhere
     * @param  string  $type  of what is answered
     * @param  string  $takesType  of what is sent
     * @param  array<int, class-string>  $also  what is answered under other statuses
     * @param  bool  $statements  whether it speaks xAPI, and says in which version
     * @param  bool  $signed  whether it takes a signature in place of a token
     * @param  list<string>  $headers  of the answer, that say something of it
     * @param  bool  $needsVersion  whether it is to be said which version was read
     */
    public function __construct(
        public string $summary,
        public ?string $answers = null,
        public int $status = 200,
        public ?string $takes = null,
        public string $says = '',
        public array $problems = [],
        public string $type = 'application/json',
        public string $takesType = 'application/json',
        public array $also = [],
        public bool $needsVersion = false,
        public bool $statements = false,
        public bool $signed = false,
        public array $headers = [],
    ) {
    }
}
