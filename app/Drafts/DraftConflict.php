<?php

declare(strict_types=1);

namespace App\Drafts;

use App\Words\Say;

/** The draft is no longer the one that the editor saw. */
final class DraftConflict extends \DomainException
{
    /** @param  bool  $isUnseen  it would take something from people, and whoever does it was not shown that */
    private function __construct(string $message, public readonly bool $isUnseen = false)
    {
        parent::__construct($message);
    }

    public static function changedMeanwhile(): self
    {
        return new self(Say::text('drafts.draft_conflict.somebody_else_has_changed'));
    }

    public static function publishedMeanwhile(): self
    {
        return new self(Say::text('drafts.draft_conflict.somebody_else_has_published'));
    }

    public static function nothingToPublish(): self
    {
        return new self(Say::text('drafts.draft_conflict.there_nothing_publish_draft'));
    }

    public static function nothingToDiscard(): self
    {
        return new self(Say::text('drafts.draft_conflict.there_no_draft_any'));
    }

    public static function timeIsOver(): self
    {
        return new self(Say::text('drafts.draft_conflict.that_time_over_already'));
    }

    public static function changedSinceSet(): self
    {
        return new self(Say::text('drafts.draft_conflict.draft_was_changed_after'));
    }

    public static function mayNotPublish(?string $name): self
    {
        return new self(Say::text('drafts.draft_conflict.may_not_publish', ['who' => $name ?? Say::text('drafts.draft_conflict.whoever_set_time')]));
    }

    public static function nothingToUndo(): self
    {
        return new self(Say::text('drafts.draft_conflict.there_nothing_left_undo'));
    }

    public static function nothingToRedo(): self
    {
        return new self(Say::text('drafts.draft_conflict.there_nothing_left_redo'));
    }

    public static function notKept(): self
    {
        return new self(Say::text('drafts.draft_conflict.not_kept'));
    }

    public static function publishedSinceGivenUp(): self
    {
        return new self(Say::text('drafts.draft_conflict.published_since_given_up'));
    }

    /** Another course is found at the address that this one is to have. */
    public static function addressTaken(string $address): self
    {
        return new self(Say::text('drafts.draft_conflict.address_taken', ['address' => $address]));
    }

    /** @param  ?int  $losers  people and observers; null: it takes too long to see in passing */
    public static function rehearseFirst(?int $losers): self
    {
        return new self(match ($losers) {
            null => Say::text('drafts.draft_conflict.many_people_hold_something'),
            1 => Say::text('drafts.draft_conflict.one_person_has_something'),
            default => Say::text('drafts.draft_conflict.losers_people_have_something', ['losers' => $losers]),
        }, isUnseen: true);
    }

    public static function rehearsedTooLongAgo(): self
    {
        return new self(Say::text('drafts.draft_conflict.what_you_were_shown'), isUnseen: true);
    }
}
