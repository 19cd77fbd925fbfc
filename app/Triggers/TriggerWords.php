<?php

declare(strict_types=1);

namespace App\Triggers;

use App\Access\Shelf\CourseShelf;
use App\Models\Form;
use App\Models\Offer;
use App\Models\OutsideSystem;
use App\Triggers\Spec\Only;
use App\Triggers\Spec\Step;
use App\Triggers\Spec\StepKind;
use App\Triggers\Spec\TriggerSpec;
use App\Triggers\Spec\When;
use App\Words\Say;
use App\Words\Sentence;
use Illuminate\Support\Collection;

/** A trigger as one sentence, in which what can be set stands apart. */
final class TriggerWords
{
    /** @var ?array<array-key, string> names by key */
    private ?array $offers = null;

    /** @var ?array<array-key, string> names by number */
    private ?array $forms = null;

    /** @var ?array<array-key, string> likewise, of systems of others */
    private ?array $outsides = null;

    public function __construct(private readonly CourseShelf $shelf)
    {
    }

    public function sentence(TriggerSpec $spec): Sentence
    {
        $only = $this->only($spec->only);

        return Sentence::of(Say::text('triggers.sentence', [
            'when' => $this->when($spec->when),
            'only' => $only === [] ? '' : Say::text('triggers.if', ['only' => self::listed($only)]),
            'then' => self::listed(array_map($this->step(...), $spec->steps, array_keys($spec->steps))),
        ]));
    }

    /** What sets it off, alone. */
    public function when(When $when): string
    {
        return Say::text("triggers.when.{$when->event}", [
            'offer' => self::set($when->offer === null ? Say::text('triggers.any_offer') : $this->offer($when->offer), 'when.offer'),
            'item' => self::set($this->item($when->course, $when->item), 'when.item'),
            'course' => self::set($this->item($when->course, null), 'when.course'),
            'label' => self::set((string) $when->label, 'when.label'),
            'form' => self::set($this->form($when->form), 'when.form'),
            'system' => self::set($this->outside($when->system), 'when.system'),
            'type' => self::set((string) $when->type, 'when.type'),
            'days' => self::set(Say::text('triggers.days', ['days' => $when->days ?? 0]), 'when.days'),
            'from' => self::set((string) ($when->from ?? 0), 'when.from'),
            'to' => self::set((string) ($when->to ?? 101), 'when.to'),
            'name' => self::set((string) $when->band, 'when.band'),
            'band' => match (true) {
                $when->band !== null => 'named',
                ($when->to ?? 101) > 100 => 'from',
                ($when->from ?? 0) === 0 => 'below',
                default => 'between',
            },
        ]);
    }

    /** @param  int  $index  which of its steps it is */
    public function step(Step $step, int $index = 0): string
    {
        $days = $step->days === null ? 'good' : 'days';

        $at = "steps.{$index}";

        return Say::text("triggers.step.{$step->do}", [
            'offer' => self::set($step->offer === null ? '' : $this->offer($step->offer), "{$at}.offer"),
            'item' => self::set($this->item($step->course, $step->item), "{$at}.item"),
            'label' => self::set((string) $step->label, "{$at}.label"),
            'subject' => self::set((string) $step->subject, "{$at}.subject"),
            'outside' => self::set($this->outside($step->outside), "{$at}.outside"),
            'lasts' => $step->kind() === StepKind::ExtendPass ? 'days' : $days,
            'days' => self::set(Say::text('triggers.days', ['days' => $step->days ?? 0]), "{$at}.days"),
        ]);
    }

    /** @return list<string> */
    private function only(Only $only): array
    {
        return array_values(array_filter([
            $only->label === null ? null : Say::text('triggers.only.label', ['label' => self::set($only->label, 'only.label')]),
            $only->notLabel === null ? null : Say::text('triggers.only.not_label', ['label' => self::set($only->notLabel, 'only.notLabel')]),
            $only->holds === null ? null : Say::text('triggers.only.holds', ['offer' => self::set($this->offer($only->holds), 'only.holds')]),
            $only->notHolds === null ? null : Say::text('triggers.only.not_holds', ['offer' => self::set($this->offer($only->notHolds), 'only.notHolds')]),
            $only->holdsCourse === null ? null : Say::text('triggers.only.holds_course', ['course' => self::set($this->item($only->holdsCourse, null), 'only.holdsCourse')]),
            $only->row === null ? null : Say::text('triggers.only.row', ['row' => strtr($only->row, '-', '_'), 'item' => self::set($this->item($only->course, $only->item), 'only.item')]),
        ]));
    }

    /** @param  list<string>  $parts */
    private static function listed(array $parts): string
    {
        $last = array_pop($parts);

        return $parts === [] ? (string) $last : Say::text('triggers.and', ['parts' => implode(', ', $parts), 'last' => (string) $last]);
    }

    /** @param  string  $of  name of the field in which it is set */
    private static function set(string $words, string $of): string
    {
        return Sentence::title($words, $of);
    }

    private function offer(string $key): string
    {
        $this->offers ??= self::names(Offer::query()->pluck('name', 'key'));

        return $this->offers[$key] ?? $key;
    }

    private function form(?int $id): string
    {
        return $id === null ? '' : ($this->forms ??= self::names(Form::query()->pluck('name', 'id')))[$id] ?? '?';
    }

    private function outside(?int $id): string
    {
        return $id === null ? '' : ($this->outsides ??= self::names(OutsideSystem::query()->pluck('name', 'id')))[$id] ?? '?';
    }

    /**
     * @param  Collection<array-key, mixed>  $names
     * @return array<array-key, string>
     */
    private static function names(Collection $names): array
    {
        return $names->map(static fn (mixed $name): string => is_string($name) ? $name : '')->all();
    }

    private function item(?string $course, ?string $item): string
    {
        $found = $course === null ? null : $this->shelf->byKey($course);

        return match (true) {
            $found === null => $item ?? (string) $course,
            $item === null => $this->shelf->title($found->id),
            default => $this->shelf->itemTitle($found->id, $item),
        };
    }
}
