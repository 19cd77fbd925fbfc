<?php

declare(strict_types=1);

namespace App\Drafts;

use App\Words\Say;
use App\Words\Sentence;

/** Somebody else has set meanwhile what an edit was to set. Both are told; what is saved is theirs. */
final class DraftCollision extends \DomainException
{
    /**
     * @param  bool  $own  it is the same person, in another window
     * @param  list<Sentence>  $theirs  what was set meanwhile
     * @param  list<Sentence>  $mine  what the refused edit would set
     */
    public function __construct(?string $who, bool $own, public readonly array $theirs, public readonly array $mine)
    {
        parent::__construct($own
            ? Say::text('drafts.draft_collision.you_have_changed_elsewhere')
            : Say::text('drafts.draft_collision.changed', ['who' => $who ?? Say::text('drafts.draft_collision.somebody_else')]));
    }
}
