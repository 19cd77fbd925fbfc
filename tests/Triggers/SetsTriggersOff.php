<?php

declare(strict_types=1);

namespace Tests\Triggers;

use App\Models\Form;
use App\Models\LetterText;
use App\Models\Trigger;
use App\Models\TriggerRun;
use App\Triggers\SaveTrigger;
use App\Triggers\Spec\Only;
use App\Triggers\Spec\Step;
use App\Triggers\Spec\TriggerSpec;
use App\Triggers\Spec\When;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Tests\People\ActsOnPeople;

/** For tests of what is done by itself. The demo is at Tue 10 Mar 2026, 13:00 in Oslo. */
trait SetsTriggersOff
{
    use ActsOnPeople;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool('2026-03-10T12:00:00Z');
        LetterText::query()->update(['on' => false]);
        Trigger::query()->delete();
        Form::query()->delete();
        $this->actingAs($this->person('hege'));
    }

    protected function on(When $when, Only $only = new Only, Step ...$steps): Trigger
    {
        $save = app(SaveTrigger::class);
        $trigger = $save->make('T'.Trigger::query()->count(), new TriggerSpec($when, $only, $steps === [] ? [new Step('give-label', label: 'set-off')] : array_values($steps)), $this->person('hege'));
        self::assertTrue($save->switch($trigger, true, 1, $this->person('hege')));

        return $trigger->refresh();
    }

    /** @return list<string> who was set off for now, and by what */
    protected function ran(string $at): array
    {
        Carbon::setTestNow($at);
        $this->inAnotherProcess();
        $last = TriggerRun::query()->max('id') ?? 0;
        Artisan::call('keep:run-triggers');

        return array_values(TriggerRun::query()->with('person')->where('id', '>', $last)->orderBy('id')->get()->map(static fn (TriggerRun $run): string => explode('@', $run->person->address())[0].' '.$run->cause)->all());
    }
}
