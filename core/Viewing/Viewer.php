<?php

declare(strict_types=1);

namespace SilentKeep\Core\Viewing;

/** All that is known of whoever looks. */
final readonly class Viewer
{
    /**
     * @param  list<string>  $labels  held for good
     * @param  list<Pass>  $passes
     * @param  list<Grant>  $grants
     * @param  array<array-key, int>  $done  the earliest instant of completion by item key
     * @param  ?Viewer  $observes  the learner that is observed; counts as signed in, is never staff and observes nobody
     * @param  list<TimedLabel>  $timedLabels  held for a time; what passes of the plan's offers give need not be among them
     */
    public function __construct(
        public bool $staff = false,
        public bool $signedIn = false,
        public bool $guest = false,
        public array $labels = [],
        public array $passes = [],
        public array $grants = [],
        public array $done = [],
        public ?Viewer $observes = null,
        public array $timedLabels = [],
    ) {
    }

    /** Whether all who are what this viewer is, signed in or not, a guest or staff, are answered alike. */
    public function hasNothing(): bool
    {
        return $this->passes === [] && $this->done === [] && $this->labels === [] && $this->grants === [] && $this->timedLabels === [] && $this->observes === null;
    }

    public function signedIn(): self
    {
        return $this->with(signedIn: true);
    }

    /** Somebody who came by the guest link, or did not. */
    public function asGuest(bool $guest): self
    {
        return $this->with(guest: $guest);
    }

    public function withLabel(string $label): self
    {
        return $this->with(labels: [...$this->labels, $label]);
    }

    public function withTimedLabel(TimedLabel $label): self
    {
        return $this->with(timedLabels: [...$this->timedLabels, $label]);
    }

    public function withPass(Pass $pass): self
    {
        return $this->withPasses([...$this->passes, $pass]);
    }

    /** @param  list<Pass>  $passes  in place of theirs */
    public function withPasses(array $passes): self
    {
        return $this->with(passes: $passes);
    }

    public function withGrant(Grant $grant): self
    {
        return $this->with(grants: [...$this->grants, $grant]);
    }

    /** @param  array<array-key, int>  $done */
    public function withDone(array $done): self
    {
        return $this->with(done: $done);
    }

    /** Looking with a learner, or with nobody. */
    public function observing(?self $learner): self
    {
        return new self($this->staff, $this->signedIn, $this->guest, $this->labels, $this->passes, $this->grants, $this->done, $learner, $this->timedLabels);
    }

    /** As they stand there themselves who are observed: signed in, never staff, observing nobody. */
    public function asObserved(): self
    {
        return new self(signedIn: true, guest: $this->guest, labels: $this->labels, passes: $this->passes, grants: $this->grants, done: $this->done, timedLabels: $this->timedLabels);
    }

    /**
     * @param  ?list<string>  $labels
     * @param  ?list<Pass>  $passes
     * @param  ?list<Grant>  $grants
     * @param  ?array<array-key, int>  $done
     * @param  ?list<TimedLabel>  $timedLabels
     */
    private function with(?bool $signedIn = null, ?bool $guest = null, ?array $labels = null, ?array $passes = null, ?array $grants = null, ?array $done = null, ?array $timedLabels = null): self
    {
        return new self($this->staff, $signedIn ?? $this->signedIn, $guest ?? $this->guest, $labels ?? $this->labels, $passes ?? $this->passes, $grants ?? $this->grants, $done ?? $this->done, $this->observes, $timedLabels ?? $this->timedLabels);
    }
}
