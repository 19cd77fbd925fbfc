<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Form;
use App\Models\Trigger;
use App\Triggers\Spec\Only;
use App\Triggers\Spec\Step;
use App\Triggers\Spec\TriggerSpec;
use App\Triggers\Spec\When;
use DateTimeImmutable;
use Illuminate\Support\Str;

/** What the demo school does by itself. */
final class DemoTriggers
{
    public function run(DateTimeImmutable $now): void
    {
        $form = Form::query()->create([
            'name' => 'A first look', 'token' => Str::lower(Str::random(20)), 'text' => 'Leave us your address, and *Choosing larch* is yours for two weeks.',
            'consent' => 'You may write to me about courses.', 'questions' => [['ask' => 'Which boat would you like to build?', 'required' => false]], 'thanks' => 'A lesson is waiting for you.',
        ]);
        $triggers = [
            'A first look' => [true, new TriggerSpec(new When('form-sent', form: $form->id), new Only, [new Step('hand-out', course: 'clinker', item: 'l-timber', days: 14), new Step('give-label', label: 'lead'), new Step('write', subject: 'Here is your lesson', body: "Dear {name},\n\nChoosing larch is open to you for two weeks: you find it in Clinker planking.")])],
            'A surprise after the tools' => [true, new TriggerSpec(new When('finished', course: 'clinker', item: 'm-tools'), new Only(notLabel: 'oar-bonus'), [new Step('hand-out', course: 'clinker', item: 'l-bonus', days: 30)])],
            'How was it?' => [true, new TriggerSpec(new When('only-samples', days: 5), new Only, [new Step('write', subject: 'How was it, {name}?', body: 'You have looked at a lesson of ours. Is there anything that you would like to know?'), new Step('give-label', label: 'looked', days: 30)])],
            'Help with the timber' => [false, new TriggerSpec(new When('quiz-scored', course: 'clinker', item: 'l-timber', to: 40), new Only, [new Step('write', subject: 'Larch is not easy', body: 'Dear {name}, have another look at the second part, and ask us.')])],
        ];
        foreach ($triggers as $name => [$on, $spec]) {
            Trigger::query()->create(['name' => $name, 'on' => $on, 'since' => $on ? $now->modify('+1 minute') : null, 'spec' => $spec->toArray()]);
        }
    }
}
