<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Models\Person;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Does something to people and rules of the demo, and asks what changed for whom. */
trait AsksWhatChanged
{
    /** @return array{string, string} an observer and a learner, as their addresses begin */
    private function tied(): array
    {
        $observer = Person::query()->create(['name' => 'Tora Holm', 'email' => 'tora.holm@alder.test']);
        DB::table('observer_ties')->insert(['observer_id' => $observer->id, 'learner_id' => $this->person('eira')->id]);

        return ['tora.holm', 'eira'];
    }

    private function assertAddsUp(\stdClass $page): void
    {
        foreach ($page->totals as $total) {
            self::assertSame($total->items, array_sum(array_map(static fn (\stdClass $cause): int => array_sum(array_map(static fn (\stdClass $count): int => $count->effect === $total->effect ? $count->items : 0, $cause->counts)), $page->causes)), $total->effect);
        }
    }

    /** As it is sent. */
    private function page(string $query): \stdClass
    {
        // Counted by the queue while the page is made, and told by the next one.
        $this->get("/keep/courses/clinker/changed?{$query}")->assertOk();

        $page = json_decode((string) json_encode($this->get("/keep/courses/clinker/changed?{$query}")->assertOk()->inertiaProps()));
        self::assertInstanceOf(\stdClass::class, $page);

        return $page;
    }

    /** @param  array<string, mixed>  $edit */
    private function publish(array $edit, string $note): void
    {
        $version = (int) DB::table('drafts')->value('version');
        $this->post('/keep/courses/clinker/draft/edits', ['version' => $version, ...$edit])->assertSessionHasNoErrors();
        $version = DB::table('drafts')->value('version');
        $this->post('/keep/courses/clinker/revisions', ['version' => $version, 'note' => $note, 'receipt' => null]);
        if (DB::table('drafts')->exists()) {
            $receipt = $this->get('/keep/courses/clinker/rehearsal')->inertiaProps('receipt');
            $this->post('/keep/courses/clinker/revisions', ['version' => $version, 'note' => $note, 'receipt' => $receipt])->assertSessionHasNoErrors();
        }
        self::assertFalse(DB::table('drafts')->exists());
        $this->inAnotherProcess();
    }

    /** @param  array<string, mixed>  $act */
    private function act(string $name, array $act): void
    {
        $this->post('/keep/people/acts', [...$act, 'people' => [(string) $this->person($name)->id]])->assertSessionHasNoErrors();
        $this->inAnotherProcess();
    }

    private function at(string $instant): void
    {
        Carbon::setTestNow($instant);
        $this->inAnotherProcess();
    }
}
