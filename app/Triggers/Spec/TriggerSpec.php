<?php

declare(strict_types=1);

namespace App\Triggers\Spec;

/** What sets a trigger off, for whom, and what it does. */
final readonly class TriggerSpec
{
    /** @param  non-empty-list<Step>  $steps  in this order */
    public function __construct(public When $when, public Only $only, public array $steps)
    {
    }

    /** @return array<string, mixed> to be kept */
    public function toArray(): array
    {
        $said = static fn (object $one): array => array_filter(get_object_vars($one), static fn (mixed $value): bool => $value !== null);

        return ['when' => $said($this->when), 'only' => $said($this->only), 'then' => array_map($said, $this->steps)];
    }

    /**
     * As it was kept.
     *
     * @param  array<array-key, mixed>  $kept
     */
    public static function of(array $kept): self
    {
        $when = self::fields($kept['when'] ?? null);
        $only = self::fields($kept['only'] ?? null);
        $steps = array_map(static fn (mixed $step): Step => self::step(self::fields($step)), array_values(is_array($kept['then'] ?? null) ? $kept['then'] : []));

        return new self(
            new When(self::text($when, 'event') ?? EventKind::AccountMade->value, self::text($when, 'offer'), self::text($when, 'course'), self::text($when, 'item'), self::text($when, 'label'), self::number($when, 'days'), self::number($when, 'from'), self::number($when, 'to'), self::number($when, 'form'), self::number($when, 'system'), self::text($when, 'type'), self::text($when, 'band')),
            new Only(self::text($only, 'label'), self::text($only, 'notLabel'), self::text($only, 'holds'), self::text($only, 'notHolds'), self::text($only, 'holdsCourse'), self::text($only, 'row'), self::text($only, 'course'), self::text($only, 'item')),
            $steps === [] ? throw new \LogicException('A trigger does something.') : $steps,
        );
    }

    /** @param  array<array-key, mixed>  $step */
    private static function step(array $step): Step
    {
        return new Step(
            StepKind::from(self::text($step, 'do') ?? '')->value, self::text($step, 'offer'), self::text($step, 'course'), self::text($step, 'item'),
            self::text($step, 'label'), self::number($step, 'days'), self::text($step, 'subject'), self::text($step, 'body'), self::number($step, 'outside'),
        );
    }

    /** @return array<array-key, mixed> */
    private static function fields(mixed $of): array
    {
        return is_array($of) ? $of : [];
    }

    /** @param  array<array-key, mixed>  $of */
    private static function text(array $of, string $name): ?string
    {
        return is_string($of[$name] ?? null) ? $of[$name] : null;
    }

    /** @param  array<array-key, mixed>  $of */
    private static function number(array $of, string $name): ?int
    {
        return is_int($of[$name] ?? null) ? $of[$name] : null;
    }
}
