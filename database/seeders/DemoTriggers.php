<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Trigger;
use App\Triggers\Spec\Only;
use App\Triggers\Spec\Step;
use App\Triggers\Spec\TriggerSpec;
use App\Triggers\Spec\When;
use DateTimeImmutable;

/** What the demo school does by itself. */
final class DemoTriggers
{
    public function run(DateTimeImmutable $now): void
    {
        $triggers = [
            'A surprise after the tools' => [true, new TriggerSpec(new When('finished', course: 'clinker', item: 'm-tools'), new Only(notLabel: 'oar-bonus'), [new Step('hand-out', course: 'clinker', item: 'l-bonus', days: 30)])],
            'How was it?' => [true, new TriggerSpec(new When('only-samples', days: 5), new Only, [new Step('write', subject: 'How was it, {name}?', body: 'You have looked at a lesson of ours. Is there anything that you would like to know?'), new Step('give-label', label: 'looked', days: 30)])],
            'Help with the timber' => [false, new TriggerSpec(new When('quiz-scored', course: 'clinker', item: 'l-timber', to: 40), new Only, [new Step('write', subject: 'Larch is not easy', body: 'Dear {name}, have another look at the second part, and ask us.')])],
        ];
        foreach ($triggers as $name => [$on, $spec]) {
            Trigger::query()->create(['name' => $name, 'on' => $on, 'since' => $on ? $now->modify('+1 minute') : null, 'spec' => $spec->toArray()]);
        }
    }
}
