<?php

declare(strict_types=1);

namespace App\Drafts;

/** The draft is no longer the one that the editor saw. */
final class DraftConflict extends \DomainException
{
    public static function changedMeanwhile(): self
    {
        return new self('Somebody else has changed this draft since you opened it. Their version is shown now; yours was not saved. Look at it, then set yours again.');
    }

    public static function publishedMeanwhile(): self
    {
        return new self('Somebody else has published this course since you opened it. The present state is shown now.');
    }

    public static function nothingToPublish(): self
    {
        return new self('There is nothing to publish: the draft says what is live already.');
    }

    public static function nothingToDiscard(): self
    {
        return new self('There is no draft any more: it was published or thrown away. What is live is shown now.');
    }

    public static function timeIsOver(): self
    {
        return new self('That time is over already. Choose a later one, or publish at once.');
    }

    public static function changedSinceSet(): self
    {
        return new self('The draft was changed after the time was set. Rehearse it as it is now, then publish it or set a time again.');
    }

    public static function mayNotPublish(?string $name): self
    {
        return new self(($name ?? 'Whoever set the time').' may not publish any more. Somebody who may has to set the time again.');
    }

    public static function nothingToUndo(): self
    {
        return new self('There is nothing left to undo.');
    }

    public static function nothingToRedo(): self
    {
        return new self('There is nothing left to redo.');
    }

    /** @param  ?int  $losers  people and observers; null: it takes too long to see in passing */
    public static function rehearseFirst(?int $losers): self
    {
        return new self(match ($losers) {
            null => 'Many people hold something of this course. Look at the rehearsal first; then it can be published.',
            1 => 'One person has something now that this takes away or puts off. Look at the rehearsal first; then it can be published.',
            default => "{$losers} people have something now that this takes away or puts off. Look at the rehearsal first; then it can be published.",
        });
    }

    public static function rehearsedTooLongAgo(): self
    {
        return new self('What you were shown is not what would happen now: it is more than a quarter of an hour ago, was for another time, or something was changed since. It is shown anew; look at it, then publish.');
    }
}
