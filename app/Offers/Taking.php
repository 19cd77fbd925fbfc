<?php

declare(strict_types=1);

namespace App\Offers;

use SilentKeep\Core\Viewing\Pass;

/** What it would come to if somebody took an offer now. */
final readonly class Taking
{
    /**
     * @param  bool  $has  whether they cannot because they have it already
     * @param  ?string  $refusal  why they cannot, in one sentence; null: they can
     * @param  ?Pass  $pass  that they would get
     * @param  ?Pass  $renews  that it goes on from
     * @param  array<int, Pass>  $replaces  lesser ones that end with it, by their number
     */
    private function __construct(public ?string $refusal, public ?Pass $pass, public ?Pass $renews, public array $replaces, public bool $has = false)
    {
    }

    public static function refused(string $why): self
    {
        return new self($why, null, null, []);
    }

    /** They have it already, or more. */
    public static function has(string $why): self
    {
        return new self($why, null, null, [], has: true);
    }

    /** @param  array<int, Pass>  $replaces */
    public static function anew(Pass $pass, array $replaces): self
    {
        return new self(null, $pass, null, $replaces);
    }

    public static function renewing(Pass $renews, Pass $pass): self
    {
        return new self(null, $pass, $renews, []);
    }

    /** What a form that was shown says it was about, so that nobody is sold something else than they saw. */
    public function fingerprint(): string
    {
        return match (true) {
            $this->pass === null => 'refused',
            $this->renews !== null => "renews from {$this->pass->from}",
            $this->replaces !== [] => 'in place of '.implode(' ', array_keys($this->replaces)),
            default => 'anew',
        };
    }
}
