<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Words\Say;

final class CannotEdit extends \DomainException
{
    /** @param  ?string  $field  of the form that the refusal is about; null: the edit as a whole */
    private function __construct(string $message, public readonly ?string $field = null)
    {
        parent::__construct($message);
    }

    public static function noSuchItem(string $key): self
    {
        return new self(Say::text('drafts.cannot_edit.course_has_no_item', ['key' => $key]));
    }

    public static function noSuchPlan(string $name): self
    {
        return new self(Say::text('drafts.cannot_edit.course_has_no_release', ['name' => $name]));
    }

    public static function neverFinished(string $item): self
    {
        return new self(Say::text('drafts.cannot_edit.only_lessons_and_parts', ['item' => $item]));
    }

    public static function planTaken(string $name): self
    {
        return new self(Say::text('drafts.cannot_edit.course_has_release_plan', ['name' => $name]), 'name');
    }

    public static function noSuchOffer(string $key): self
    {
        return new self(Say::text('drafts.cannot_edit.course_has_no_offer', ['key' => $key]));
    }

    public static function offerInBundle(string $bundle): self
    {
        return new self(Say::text('drafts.cannot_edit.bundle_bundle_sold_with', ['bundle' => $bundle]));
    }

    public static function noDates(): self
    {
        return new self(Say::text('drafts.cannot_edit.no_dates'), 'first');
    }

    public static function offerHeld(int $holders): self
    {
        return new self(Say::text('drafts.cannot_edit.offer_held', ['holders' => $holders]));
    }

    public static function wouldWaitForItself(string $from, string $item, string $asked): self
    {
        return new self(Say::text('drafts.cannot_edit.from_waits_for_asked', ['from' => $from, 'asked' => $asked, 'item' => $item]));
    }

    public static function nowhereToMove(string $why): self
    {
        return new self($why);
    }

    public static function stillAsked(string $item, string $asked): self
    {
        return new self(Say::text('drafts.cannot_edit.item_only_for_those', ['item' => $item, 'asked' => $asked, 'asked2' => $asked]));
    }
}
