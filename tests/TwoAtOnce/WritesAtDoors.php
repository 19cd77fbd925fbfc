<?php

declare(strict_types=1);

namespace Tests\TwoAtOnce;

use App\Models\OutsideEvent;
use App\Models\OutsideSystem;
use App\Models\Pass;
use Closure;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Tests\Factories\SharedNoticeFactory;

/** What is written at closed doors and at the end of courses, for {@see WriteBesideWriteTest}. */
trait WritesAtDoors
{
    use WritesFromOutside;
    use WritesOnPages;

    /**
     * @param  Closure  $admin  signs the administrator in
     * @param  Closure(string, array<string, mixed>): Closure  $post
     * @param  Closure  $draft  that of the course, where there is one
     * @return array<string, array{Closure, Closure, Closure}>
     */
    private static function atDoors(Closure $admin, Closure $post, Closure $draft): array
    {
        $end = ['takes' => true, 'listed' => true, 'subject' => '', 'address' => 'the-end', 'oldAddress' => 'closing'];

        return [
            ...self::fromOutside(),
            ...self::onPages($admin),
            'write a notice' => [$admin, static fn (self $test) => $test->put('/keep/notices/too-early', ['version' => 0, 'way' => 'show', 'heading' => 'Not yet', 'text' => 'Come back.'])->assertSessionHasNoErrors(), static fn (): bool => DB::table('notice_texts')->where('heading', 'Not yet')->exists()],
            'write a notice of a row' => [$admin, static fn (self $test) => $test->put('/keep/courses/clinker/notices/too-early', ['version' => 0, 'way' => 'show', 'heading' => 'Not yet', 'text' => 'Come back.', 'item' => 'l-planes', 'offer' => 'taster'])->assertSessionHasNoErrors(), static fn (): bool => DB::table('notice_texts')->where('scope', 'like', '%l-planes%')->exists()],
            'make a trigger' => [$admin, $post('/keep/triggers', ['version' => 0, 'name' => 'New', 'when' => ['event' => 'account-made'], 'only' => [], 'steps' => [['do' => 'give-label', 'label' => 'x']]]), static fn (): bool => DB::table('triggers')->where('name', 'New')->exists()],
            'switch a trigger off' => [$admin, static fn (self $test) => $test->put('/keep/triggers/1/switch', ['version' => 1, 'on' => false])->assertSessionHas('flash.kind', 'done'), static fn (): bool => DB::table('triggers')->where('id', 1)->where('on', false)->exists()],
            'run triggers' => [
                static function (self $test): void {
                    DB::table('triggers')->where('id', 1)->update(['since' => now()->subHour(), 'spec' => '{"when":{"event":"label-given","label":"go"},"only":{},"then":[{"do":"give-label","label":"set-off"}]}']);
                    DB::table('activities')->insert(['person_id' => $test->person('eira')->id, 'action' => 'label.given', 'after' => '{"label":"go"}', 'happened_at' => now()]);
                },
                static fn (): int => Artisan::call('keep:run-triggers'),
                static fn (): bool => DB::table('labels')->where('label', 'set-off')->exists(),
            ],
            'make a form' => [$admin, $post('/keep/triggers/forms', ['name' => 'Ask us', 'on' => true, 'text' => '', 'consent' => '', 'thanks' => '', 'questions' => []]), static fn (): bool => DB::table('forms')->where('name', 'Ask us')->exists()],
            'send a form' => [
                static fn (): mixed => DB::table('forms')->insert(['name' => 'Ask us', 'token' => str_repeat('a', 20), 'text' => '', 'thanks' => '']),
                $post('/forms/'.str_repeat('a', 20), ['name' => 'Alva', 'email' => 'alva@elsewhere.test', 'answers' => [], 'once' => '5b4ed5a4-15a5-4f4f-9f7e-0b6a7f3a1c11']),
                static fn (): bool => DB::table('form_answers')->where('email', 'alva@elsewhere.test')->whereNotNull('person_id')->exists(),
            ],
            'make a system of others known' => [$admin, $post('/keep/triggers/outside', ['name' => 'The ledger', 'address' => 'https://ledger.test/', 'on' => true]), static fn (): bool => DB::table('outside_systems')->where('name', 'The ledger')->exists()],
            'tell a system of others' => [
                static function (): void {
                    Http::fake();
                    $system = OutsideSystem::query()->create(['name' => 'The ledger', 'address' => 'https://ledger.test/', 'secret' => 'x']);
                    OutsideEvent::query()->create(['outside_system_id' => $system->id, 'event' => '6b1f0a52-7c1d-4c0e-9a57-0d6f1f2f9b11', 'once' => 'e', 'body' => '{}', 'due_at' => now(), 'made_at' => now()]);
                },
                static fn (): int => Artisan::call('keep:run-triggers'),
                static fn (): bool => DB::table('outside_events')->where('state', 'taken')->exists(),
            ],
            'begin a shared notice' => [$admin, $post('/keep/notices/shared', ['name' => 'Ask us', 'heading' => '', 'text' => 'Ask.']), static fn (): bool => DB::table('shared_notices')->where('name', 'Ask us')->exists()],
            'publish a shared notice' => [
                static function (self $test): void {
                    $test->actingAs($test->person('hege'));
                    SharedNoticeFactory::new()->createOne(['id' => 100, 'draft' => ['heading' => 'New', 'titled' => true, 'text' => '', 'parts' => null]]);
                },
                $post('/keep/notices/shared/100/publication', ['version' => 1]),
                static fn (): bool => DB::table('shared_notices')->whereNull('draft')->where('id', 100)->where('version', 2)->exists(),
            ],
            'offer another course' => [$admin, static fn (self $test) => $test->put('/keep/courses/clinker/related', ['version' => 0, 'item' => '', 'other' => 'steam-frames', 'heading' => 'Next', 'text' => '', 'button' => 'Take it'])->assertSessionHas('flash.kind', 'done'), static fn (): bool => DB::table('related_offers')->where('heading', 'Next')->exists()],
            'settle a letter' => [$admin, static fn (self $test) => $test->put('/keep/notices/letters/next-run', ['version' => 0, 'on' => false, 'subject' => 'Again', 'body' => '{address}'])->assertSessionHas('flash.kind', 'done'), static fn (): bool => DB::table('letter_texts')->where('subject', 'Again')->exists()],
            'want no more letters' => [static fn (self $test): mixed => $test->actingAs($test->person('eira')), static fn (self $test) => $test->put('/account/letters', ['kind' => 'ended', 'wanted' => false])->assertSessionHas('flash.kind', 'done'), static fn (): bool => DB::table('letter_choices')->where('kind', 'ended')->exists()],
            'write letters that are due' => [static fn (): null => null, static fn (): int => Artisan::call('keep:write-letters'), static fn (): bool => DB::table('messages')->where('state', 'sent')->where('kind', 'ends-soon')->exists()],
            'ask to be told of the next run' => [static fn (): null => null, $post('/courses/petrol/next-run', ['name' => 'Alva', 'email' => 'alva@elsewhere.test']), static fn (): bool => DB::table('next_runs')->exists()],
            'move all dates of a course' => [$admin, $post('/keep/courses/clinker/run-again', ['version' => 0, 'first' => '2027-06-20', 'as' => 'draft']), static fn (self $test): bool => $draft($test) !== null],
            'plan the end of a course' => [$admin, $post('/keep/courses/clinker/retire', [...$end, 'version' => 0, 'keep' => 'good', 'shutGuests' => true, 'shutObservers' => true]), static fn (self $test): bool => $test->course()->retirement !== null],
            'set what stands at the end of a course' => [$admin, static fn (self $test) => $test->put('/keep/courses/petrol/retire', $end)->assertSessionHas('flash.kind', 'done'), static fn (self $test): bool => $test->course('petrol')->address === 'the-end'],
            'retire a course whose learners keep it for good' => [
                static function (self $test) use ($end): mixed {
                    $test->actingAs($test->person('hege'))->post('/keep/courses/clinker/retire', [...$end, 'version' => 0, 'keep' => 'good', 'shutGuests' => false, 'shutObservers' => false])->assertSessionHasNoErrors();
                    $test->app->forgetScopedInstances();

                    return $test->get('/keep/courses/clinker/rehearsal')->inertiaProps('receipt');
                },
                static fn (self $test, mixed $receipt) => $test->post('/keep/courses/clinker/revisions', ['version' => 1, 'receipt' => $receipt])->assertSessionHas('flash.kind', 'done'),
                static fn (self $test): bool => $test->course()->address === 'the-end' && Pass::query()->where('course_id', $test->course()->id)->where('state', 'active')->where('ends_at', '>', '2026-03-11 00:00:00')->doesntExist(),
            ],
        ];
    }
}
