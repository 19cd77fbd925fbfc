<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Models\Person;
use Illuminate\Support\Carbon;

/** Somebody new at the demo school, what is done to them, and their story as it is told. */
trait TellsStories
{
    private Person $siv;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        Carbon::setTestNow('2026-03-10T12:05:00Z');
        $this->siv = Person::query()->create(['name' => 'Siv Aune', 'email' => 'siv@alder.test']);
        $this->actingAs($this->person('hege'));
    }

    private function at(string $instant): void
    {
        Carbon::setTestNow($instant);
        $this->inAnotherProcess();
        $this->actingAs($this->person('hege'));
    }

    /** @param  array<string, mixed>  $form */
    private function act(array $form): void
    {
        $this->post('/keep/people/acts', ['people' => [$this->siv->id], 'anew' => true, ...$form])->assertSessionHasNoErrors();
    }

    /** @param  array<array-key, mixed>  $sentence */
    private function words(array $sentence): string
    {
        return implode('', array_column((array) $sentence['segments'], 'text'));
    }

    /**
     * @param  ?array<array-key, mixed>  $page  null: Siv's
     * @return list<string> a line for each turn of the story: day, what happened (by whom), what opened and what closed
     */
    private function told(?array $page = null): array
    {
        $page ??= (array) $this->get("/keep/people/{$this->siv->id}/past?course=clinker")->assertOk()->inertiaProps();
        $titles = array_column((array) $page['rows'], 'title');
        $told = [];
        foreach ((array) $page['turns'] as $turn) {
            assert(is_array($turn));
            $named = static fn (string $sign, mixed $places): string => $places === [] ? '' : " {$sign} ".implode(', ', array_map(static fn (mixed $place): string => $titles[$place], (array) $places));
            $lines = array_map(fn (array $line): string => $this->words($line['words']).($line['by'] === null ? '' : " ({$line['by']})"), (array) $turn['lines']);
            if ($lines !== [] || $turn['opened'] !== [] || $turn['shut'] !== []) {
                $told[] = substr($turn['when'], 4).': '.implode(' ', $lines).$named('+', $turn['opened']).$named('-', $turn['shut']);
            }
        }

        return $told;
    }
}
