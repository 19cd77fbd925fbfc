<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Form;
use App\Models\OutsideEvent;
use App\Models\OutsideSystem;
use App\Models\PeopleFile;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Factories\SharedNoticeFactory;
use Tests\People\ActsOnPeople;
use Tests\TestCase;

/** Who may what: administrators all, assistants look, answer, hand items out and extend passes, learners nothing of it. */
final class RolesTest extends TestCase
{
    use ActsOnPeople;

    /** What assistants may not even see: it is about running the school. */
    private const RUNNING = ['keep.zone', 'keep.labels.merged', 'keep.outbox', 'keep.list', 'keep.list.csv', 'keep.messages', 'keep.shop', 'keep.forms.csv', 'keep.outside', 'keep.tokens', 'keep.bring-in', 'keep.import', 'keep.import.progress', 'keep.person.data', 'keep.person.archive'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_no_route_of_the_administrators_side_opens_to_learners_or_visitors(): void
    {
        $tried = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (! str_starts_with($route->uri(), 'keep/')) {
                continue;
            }
            $address = '/'.preg_replace(['/\{course\}/', '/\{item\?\}/', '/\{what\}/', '/\{subject\}/', '/\{name\}/', '/\{\w+\}/'], ['clinker', 'l-planes', 'poster', str_repeat('0', 32), 'why.png', '1'], $route->uri());
            $method = array_values(array_diff($route->methods(), ['HEAD']))[0];
            $this->actingAs($this->person('eira'))->call($method, $address, ['version' => 0])->assertNotFound();
            $this->post('/sign-out');
            $this->call($method, $address, ['version' => 0])->assertRedirect('/sign-in');
            $tried++;
        }
        self::assertGreaterThan(50, $tried);
    }

    public function test_assistants_see_every_page_but_those_of_running_the_school(): void
    {
        SharedNoticeFactory::new()->createOne(['id' => $this->person('eira')->id]);
        $system = OutsideSystem::query()->create(['id' => $this->person('eira')->id, 'name' => 'The ledger', 'address' => 'https://ledger.test/', 'secret' => 'x']);
        OutsideEvent::query()->create(['id' => $system->id, 'outside_system_id' => $system->id, 'event' => '6b1f0a52-7c1d-4c0e-9a57-0d6f1f2f9b11', 'once' => 'e', 'body' => '{}', 'made_at' => now()]);
        Form::query()->create(['id' => $this->person('eira')->id, 'name' => 'A look', 'token' => str_repeat('a', 20), 'text' => '', 'thanks' => '']);
        PeopleFile::query()->create(['id' => $this->person('eira')->id, 'person_id' => $this->person('aksel')->id, 'query' => '', 'listed' => true, 'samples' => false, 'state' => 'ready', 'of' => 0, 'asked_at' => now()]);
        // There is something to be rehearsed.
        $this->actingAs($this->person('hege'))->post('/keep/courses/clinker/draft/edits', ['version' => 0, 'set' => 'sample', 'items' => ['l-steam'], 'value' => 'yes'])->assertSessionHasNoErrors();
        $this->actingAs($this->person('aksel'));
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (! str_starts_with($route->uri(), 'keep/') || ! in_array('GET', $route->methods(), true) || str_contains($route->uri(), '{import}') || str_contains($route->uri(), '{act}')) {
                continue;
            }
            $address = '/'.preg_replace(['/\{course\}/', '/\{item\?\}/', '/\{name\}/', '/\{\w+\}/'], ['clinker', 'l-planes', 'why.png', (string) $this->person('eira')->id], $route->uri()).'?v[]=visitor&item=l-planes&first=2027-01-01';
            $status = $this->get($address)->getStatusCode();
            self::assertSame(in_array($route->getName(), self::RUNNING, true) ? 403 : 200, $status, $address);
        }
    }

    /** @param  array<string, mixed>  $more */
    #[DataProvider('acts')]
    public function test_assistants_help_people_and_do_not_run_the_school(string $do, array $more, bool $may): void
    {
        $this->actingAs($this->person('aksel'));
        $more = isset($more['pass']) ? [...$more, 'pass' => $this->pass('eira')->id] : $more;
        $more = isset($more['observer']) ? [...$more, 'observer' => $this->person('amund')->id] : $more;
        $answer = $this->act($do, ['eira'], $more);
        $may ? $answer->assertRedirect() : $answer->assertForbidden();
        $this->postJson('/keep/people/preview', ['do' => $do, 'people' => [$this->person('eira')->id], ...$more])->assertStatus($may ? 200 : 403);
    }

    /** @return list<array{string, array<string, mixed>, bool}> */
    public static function acts(): array
    {
        return [
            ['grant', ['course' => 'clinker', 'item' => 'm-planks'], true],
            ['take-back', ['grant' => 1], true],
            ['extend', ['pass' => 1, 'days' => 3], true],
            ['give', ['offer' => 'taster'], false],
            ['begin', ['pass' => 1], false],
            ['pause', ['pass' => 1, 'stops' => true], false],
            ['resume', ['pass' => 1], false],
            ['end', ['pass' => 1], false],
            ['withdraw', ['pass' => 1], false],
            ['give-back', ['pass' => 1], false],
            ['change', ['pass' => 1, 'offer' => 'taster'], false],
            ['label', ['label' => 'x'], false],
            ['unlabel', ['label' => 'x'], false],
            ['observe', ['observer' => 1], false],
            ['unobserve', ['observer' => 1], false],
            ['write', ['subject' => 'x', 'body' => 'y'], false],
        ];
    }

    public function test_assistants_take_back_only_what_they_did_themselves(): void
    {
        $this->actingAs($this->person('hege'))->act('extend', ['eira'], ['offer' => 'apprentice-pass', 'days' => 3]);
        $hers = \App\Models\ActRecord::query()->sole()->id;
        $this->actingAs($this->person('aksel'))->post("/keep/people/acts/{$hers}/undo")->assertSessionHas('flash.kind', 'refused');
        $this->act('extend', ['eira'], ['offer' => 'apprentice-pass', 'days' => 3]);
        $his = \App\Models\ActRecord::query()->latest('id')->firstOrFail()->id;
        $this->post("/keep/people/acts/{$his}/undo")->assertSessionHas('flash.kind', 'done');
    }
}
