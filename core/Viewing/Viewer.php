<?php

declare(strict_types=1);

namespace SilentKeep\Core\Viewing;

/** All that is known of whoever looks. */
final readonly class Viewer
{
    /**
     * @param  list<string>  $labels
     * @param  list<Pass>  $passes
     * @param  list<Grant>  $grants
     * @param  array<array-key, int>  $done  the earliest instant of completion by item key
     * @param  ?Viewer  $observes  the learner that is observed; counts as signed in, is never staff and observes nobody
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
    ) {
    }

    public function signedIn(): self
    {
        return new self($this->staff, true, $this->guest, $this->labels, $this->passes, $this->grants, $this->done, $this->observes);
    }

    public function withPass(Pass $pass): self
    {
        return new self($this->staff, $this->signedIn, $this->guest, $this->labels, [...$this->passes, $pass], $this->grants, $this->done, $this->observes);
    }

    public function withGrant(Grant $grant): self
    {
        return new self($this->staff, $this->signedIn, $this->guest, $this->labels, $this->passes, [...$this->grants, $grant], $this->done, $this->observes);
    }

    /** @param  array<array-key, int>  $done */
    public function withDone(array $done): self
    {
        return new self($this->staff, $this->signedIn, $this->guest, $this->labels, $this->passes, $this->grants, $done, $this->observes);
    }
}
