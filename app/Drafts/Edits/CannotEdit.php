<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

final class CannotEdit extends \DomainException
{
    /** @param  ?string  $field  of the form that the refusal is about; null: the edit as a whole */
    private function __construct(string $message, public readonly ?string $field = null)
    {
        parent::__construct($message);
    }

    public static function noSuchItem(string $key): self
    {
        return new self("This course has no item {$key} any more. Somebody may have taken it out; reload to see the present outline.");
    }

    public static function noSuchPlan(string $name): self
    {
        return new self("This course has no release plan {$name} any more.");
    }

    public static function neverFinished(string $item): self
    {
        return new self("Only lessons and parts are finished by themselves; {$item} is neither.");
    }

    public static function planTaken(string $name): self
    {
        return new self("This course has a release plan {$name} already.", 'name');
    }

    public static function noSuchOffer(string $key): self
    {
        return new self("This course has no offer {$key} any more.");
    }

    public static function offerInBundle(string $bundle): self
    {
        return new self("The bundle {$bundle} is sold with it. Take it out of that first.");
    }

    public static function offerHeld(int $holders): self
    {
        return new self(($holders === 1 ? 'Somebody holds' : "{$holders} people hold").' a pass of it, or have held one. Say that it is not sold any more instead.');
    }

    public static function wouldWaitForItself(string $from, string $item, string $asked): self
    {
        return new self("{$from} waits for {$asked}; {$item} cannot, so these rules do not fit it. Nothing was pasted.");
    }

    public static function nowhereToMove(string $why): self
    {
        return new self($why);
    }

    public static function stillAsked(string $item, string $asked): self
    {
        return new self("{$item} is only for those who finished {$asked}. Say who it is for first; then {$asked} can be taken out.");
    }
}
