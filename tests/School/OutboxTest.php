<?php

declare(strict_types=1);

namespace Tests\School;

use App\Access\SchoolClock;
use App\Models\IncomingEvent;
use App\Models\ListContact;
use App\Models\Message;
use App\Models\OutsideEvent;
use App\Models\OutsideSystem;
use App\Models\Person;
use App\People\ActOnPeople;
use App\People\Acts\JoinList;
use App\People\ChosenPeople;
use App\Standins\Mail\Letter;
use App\Standins\Mail\Mailer;
use App\Standins\Mail\Postbox;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** What went out and came in: letters, the mailing list, messages of systems. */
final class OutboxTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
        Message::query()->delete();
    }

    public function test_letters_are_found_by_address_subject_and_state(): void
    {
        foreach ([['eira@alder.test', 'Hello', 'sent'], ['ragna@alder.test', '100 % done', 'failed'], ['eira@alder.test', 'Again', 'waiting']] as [$to, $subject, $state]) {
            Message::query()->create(['to' => $to, 'subject' => $subject, 'body' => 'Words.', 'state' => $state, 'tries' => 0, 'written_at' => now()]);
        }
        $subjects = fn (string $query): array => array_column((array) $this->get("/keep/outbox?{$query}")->assertOk()->inertiaProps('letters'), 'subject');

        self::assertSame(['Again', '100 % done', 'Hello'], $subjects(''));
        self::assertSame(['Again', 'Hello'], $subjects('find=eira@'));
        self::assertSame(['100 % done'], $subjects('find=100 %25'));
        self::assertSame(['Hello'], $subjects('find=EIRA&state=sent'));
        self::assertSame([], $subjects('find=_'));
        $this->get('/keep/outbox?state=lost')->assertSessionHasErrors('state');
    }

    public function test_a_letter_that_went_goes_a_second_time(): void
    {
        app(Mailer::class)->send([new Letter(null, 'eira@alder.test', 'Hello', 'Come back.')]);
        $letter = Message::query()->sole();
        self::assertSame('sent', $letter->state);
        self::assertTrue($this->get('/keep/outbox')->inertiaProps('letters.0.again'));

        $this->post("/keep/outbox/letters/{$letter->id}", ['tries' => 1])->assertSessionHas('flash.kind', 'done');
        $this->post("/keep/outbox/letters/{$letter->id}", ['tries' => 1])->assertSessionHas('flash.kind', 'refused');
        self::assertSame(['sent', 2], [$letter->refresh()->state, $letter->tries]);
        $arrived = iterator_to_array(app(Postbox::class)->letters('eira@alder.test'), false);
        self::assertCount(2, $arrived);
        preg_match_all('/^Message-ID: (\S+)/mi', implode("\n", $arrived), $ids);
        self::assertCount(2, array_unique($ids[1]), 'A mail program shows both.');
    }

    public function test_what_only_its_reader_could_see_does_not_go_again(): void
    {
        app(Mailer::class)->send([new Letter(null, 'eira@alder.test', 'Sign in', 'Here: https://keep.test/secret', secret: 'https://keep.test/secret')]);
        $letter = Message::query()->sole();

        self::assertFalse($this->get('/keep/outbox')->inertiaProps('letters.0.again'));
        $this->post("/keep/outbox/letters/{$letter->id}", ['tries' => 1])->assertSessionHas('flash.kind', 'refused');
        self::assertSame('sent', $letter->refresh()->state);
    }

    public function test_the_mailing_list_has_each_contact_once_with_its_labels(): void
    {
        $this->join('news', 'eira', 'ragna');
        $this->join('boats, large', 'eira');
        $this->join('news', 'eira');
        $list = $this->get('/keep/outbox/list')->assertOk();

        self::assertSame([['Eira Holm', ['boats, large', 'news'], 'by hand'], ['Ragna Lie', ['news'], 'by hand']], array_map(static fn (array $one): array => [$one['name'], $one['labels'], $one['source']], (array) $list->inertiaProps('contacts')));
        self::assertSame(['boats, large', 'news'], $list->inertiaProps('labels'));
        self::assertSame(['Eira Holm'], array_column((array) $this->get('/keep/outbox/list?label=boats,%20large')->inertiaProps('contacts'), 'name'));
        self::assertSame("\u{FEFF}name,email,labels,since\r\n\"Eira Holm\",eira@alder.test,\"boats, large,news\",\"Tue 10 Mar, 13:00\"\r\n\"Ragna Lie\",ragna@alder.test,news,\"Tue 10 Mar, 13:00\"\r\n", $this->get('/keep/outbox/list.csv')->assertOk()->streamedContent());
        self::assertStringNotContainsString('Ragna', $this->get('/keep/outbox/list.csv?label=boats,%20large')->streamedContent());
    }

    public function test_whose_address_is_not_shown_to_be_theirs_is_not_put_there(): void
    {
        $person = Person::query()->create(['name' => 'Alva', 'email' => 'claimed-1', 'claimed_email' => 'alva@elsewhere.test']);
        app(ActOnPeople::class)(new JoinList(app(SchoolClock::class), 'news', 'by hand'), ChosenPeople::named([$person->id]), null);

        self::assertSame(0, ListContact::query()->count());
    }

    public function test_lists_ask_as_often_however_long_they_are(): void
    {
        $asked = function (string $address): int {
            $this->get($address);
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->get($address)->assertOk();

            return count(DB::getQueryLog());
        };
        $system = OutsideSystem::query()->create(['name' => 'Regatta', 'address' => 'https://regatta.example/', 'secret' => 's']);
        $more = function (int $number) use ($system): void {
            Message::query()->create(['to' => 'a', 'subject' => 'b', 'body' => 'c', 'state' => 'sent', 'tries' => 1, 'written_at' => now()]);
            ListContact::query()->create(['person_id' => $number, 'label' => 'news', 'source' => 'by hand', 'added_at' => now()]);
            OutsideEvent::query()->create(['outside_system_id' => $system->id, 'event' => "e{$number}", 'once' => "o{$number}", 'state' => 'taken', 'body' => '{}', 'made_at' => now()]);
        };
        $more(3);
        $addresses = ['/keep/outbox', '/keep/outbox/list', '/keep/outbox/messages'];
        $few = array_map($asked, $addresses);
        foreach (range(4, 30) as $number) {
            $more($number);
        }

        self::assertSame($few, array_map($asked, $addresses));
    }

    public function test_messages_of_systems_stand_together_both_ways(): void
    {
        $first = OutsideSystem::query()->create(['name' => 'Regatta', 'address' => 'https://regatta.example/', 'secret' => 's']);
        $second = OutsideSystem::query()->create(['name' => 'Ledger', 'address' => 'https://ledger.example/', 'secret' => 's']);
        foreach ([[$first, 'taken', 'a'], [$second, 'failed', 'b'], [$first, 'waiting', 'c']] as [$system, $state, $type]) {
            OutsideEvent::query()->create(['outside_system_id' => $system->id, 'event' => $type, 'once' => $type, 'state' => $state, 'body' => json_encode(['type' => $type]), 'signature' => ['Signature' => 'sig=:x:'], 'status' => 200, 'answer' => 'Fine', 'made_at' => now()]);
        }
        IncomingEvent::query()->create(['outside_system_id' => $first->id, 'person_id' => 3, 'source' => 's', 'event' => 'e', 'type' => 'regatta.entered', 'body' => '{"type":"regatta.entered"}', 'signature' => 'sig=:y:', 'received_at' => now()]);
        $types = fn (string $query): array => array_column((array) $this->get("/keep/outbox/messages?{$query}")->assertOk()->inertiaProps('rows'), 'type');

        self::assertSame(['c', 'b', 'a'], $types(''));
        self::assertSame(['c', 'a'], $types("system={$first->id}"));
        self::assertSame(['b'], $types('state=failed'));
        self::assertSame(['regatta.entered'], $types('way=in'));
        $row = $this->get('/keep/outbox/messages?state=taken')->inertiaProps('rows.0');
        self::assertSame([['Signature: sig=:x:'], 'Answer: 200 Fine', false], [$row['signature'], $row['answered'], $row['incoming']]);
        self::assertNull($this->get('/keep/outbox/messages?state=waiting')->inertiaProps('rows.0.event'), 'It waits anyway.');
    }

    private function join(string $label, string ...$who): void
    {
        app(ActOnPeople::class)(new JoinList(app(SchoolClock::class), $label, 'by hand'), ChosenPeople::named(array_values(array_map(fn (string $one): int => $this->person($one)->id, $who))), $this->person('hege'));
    }
}
