<?php

declare(strict_types=1);

namespace App\Drafts;

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
            ? 'You have changed this elsewhere since you opened this page. What you set first is saved and shown now.'
            : ($who ?? 'Somebody else').' has changed this since you opened it. Theirs is saved and shown now; yours is not.');
    }
}
