<?php

declare(strict_types=1);

namespace Tests\Sightlines\Why;

use App\Models\Pass;
use App\Models\TriggerRun;
use App\School\Tokens\Ability;
use App\School\Tokens\MakeToken;
use App\Triggers\Runs\TakeRunBack;
use App\Triggers\Spec\Only;
use App\Triggers\Spec\Step;
use App\Triggers\Spec\When;
use Illuminate\Support\Carbon;
use Tests\TestCase;
use Tests\Triggers\SetsTriggersOff;

/** Who or what gave that by which something is open. */
final class WhoGaveTest extends TestCase
{
    use SetsTriggersOff;

    public function test_what_a_trigger_handed_out_is_told_with_its_name_until_it_is_taken_back(): void
    {
        $this->on(new When('label-given', label: 'go'), new Only, new Step('hand-out', course: 'clinker', item: 'm-planks', days: 14));
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        self::assertSame(['locked', []], $this->given('gro', 'l-garboard'));
        $this->act('label', ['gro'], ['label' => 'go']);
        $this->ran('2026-03-10T13:01:00Z');
        self::assertSame(['open', ['Hanging planks was handed to them by the trigger T0, Tue 10 Mar, 14:01.']], $this->given('gro', 'l-garboard'));
        app(TakeRunBack::class)(TriggerRun::query()->sole(), $this->person('hege'));
        self::assertSame(['locked', []], $this->given('gro', 'l-garboard'));
    }

    public function test_a_label_on_the_way_to_it_is_told_too(): void
    {
        $this->on(new When('label-given', label: 'go'), new Only, new Step('give-pass', offer: 'journeyman-pass'), new Step('give-label', label: 'oar-bonus'));
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $this->act('label', ['gro'], ['label' => 'go']);
        $this->ran('2026-03-10T13:01:00Z');
        self::assertSame(['open', ['Journeyman pass came to them by the trigger T0, Tue 10 Mar, 14:01.']], $this->given('gro', 'l-welcome'));
        self::assertSame('The label oar-bonus was given to them by the trigger T0, Tue 10 Mar, 14:01.', $this->given('gro', 'l-bonus', '2026-06-21T08:00:00Z')[1][1] ?? null);
    }

    public function test_what_somebody_gave_is_told_with_their_name_and_what_came_otherwise_with_where_from(): void
    {
        $this->act('give', ['gro'], ['offer' => 'journeyman-pass'])->assertSessionHasNoErrors();
        self::assertSame(['open', ['Journeyman pass came to them by Hege Strand, Tue 10 Mar, 13:00.']], $this->given('gro', 'l-welcome'));
        Pass::query()->where('person_id', $this->person('eira')->id)->update(['source' => 'by a file']);
        self::assertSame(['open', ['Apprentice pass is theirs: by a file.']], $this->given('eira', 'l-welcome'));
    }

    public function test_what_came_through_a_token_is_told_with_its_name(): void
    {
        $token = app(MakeToken::class)($this->person('hege'), 'The library', [Ability::ChangePeople], null)[1];
        $this->postJson('/api/v1/people/acts', ['do' => 'give', 'people' => [$this->person('gro')->id], 'offer' => 'journeyman-pass'], ['Authorization' => "Bearer {$token}"])->assertCreated();
        self::assertSame(['open', ['Journeyman pass came to them by Hege Strand through The library, Tue 10 Mar, 13:00.']], $this->given('gro', 'l-welcome'));
    }

    public function test_of_those_who_are_nobody_by_name_nothing_is_told(): void
    {
        $this->getJson('/keep/courses/clinker/why?item=l-welcome&v[]=holder:8:apprentice-pass')->assertOk()->assertJsonPath('given', []);
    }

    /** @return array{mixed, list<string>} how it is to them, and what is told of who gave it */
    private function given(string $name, string $item, ?string $at = null): array
    {
        $told = $this->getJson('/keep/courses/clinker/why?'.http_build_query(['item' => $item, 'v' => ['person:'.$this->person($name)->id], 'at' => $at]))->assertOk();
        $given = array_map(static fn (mixed $one): string => implode('', array_column(is_array($one) ? (array) ($one['segments'] ?? []) : [], 'text')), (array) $told->json('given'));

        return [$told->json('intro') === null ? 'open' : 'locked', array_values($given)];
    }
}
