<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Models\CourseDocument;
use App\Models\Document\DocumentTime;
use SilentKeep\Core\Format\Pointer;

/** Says when items open or close in a release plan, or leaves it to what they stand in. */
final readonly class SetTime implements Edit
{
    /**
     * @param  'opens'|'closes'  $which
     * @param  list<string>  $items
     * @param  ?DocumentTime  $rule  null: no rule of its own
     */
    public function __construct(private string $which, private string $plan, private array $items, private ?DocumentTime $rule)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        $plan = $document->edit()->plan($this->plan) ?? throw CannotEdit::noSuchPlan($this->plan);
        foreach ($this->items as $item) {
            if ($document->editItem($item) === null) {
                throw CannotEdit::noSuchItem($item);
            }
            $plan->set($item, $this->which, $this->rule);
        }
    }

    public function toArray(): array
    {
        return ['set' => $this->which, 'plan' => $this->plan, 'items' => $this->items, 'to' => $this->rule?->raw()];
    }

    public function pointer(): string
    {
        return '/courses/0/plans/'.Pointer::escape($this->plan).'/'.Pointer::escape($this->items[0] ?? '').'/'.$this->which;
    }
}
