<?php

declare(strict_types=1);

namespace Tests\School;

use App\Models\LetterChoice;
use App\Models\LetterText;
use App\Models\Message;
use App\Standins\Mail\Letter;
use App\Standins\Mail\Mailer;
use App\Standins\Mail\Post;
use App\Standins\Mail\Postbox;
use App\Standins\Mail\SendLetters;
use Illuminate\Mail\Events\MessageSent;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Queue;
use Symfony\Component\Mailer\Exception\TransportException;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;
use Symfony\Component\Mime\Address;
use Tests\TestCase;

/** How letters go out: by the queue, through Laravel's mailer, each once, none lost. */
final class PostTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    private static function letter(string $to, ?string $secret = null, ?string $kind = null, ?int $person = null): Letter
    {
        return new Letter($person, $to, 'Hello', 'Here: '.($secret ?? 'nothing')."\n", secret: $secret, kind: $kind, stop: $kind === null ? null : 'https://school.test/stop');
    }

    /** A mail server that takes nothing as long as it is down. */
    private function server(bool &$down, int &$taken): void
    {
        Mail::extend('unsteady', static function () use (&$down, &$taken): AbstractTransport {
            return new class($down, $taken) extends AbstractTransport
            {
                public function __construct(private bool &$down, private int &$taken)
                {
                    parent::__construct();
                }

                public function __toString(): string
                {
                    return 'unsteady';
                }

                protected function doSend(SentMessage $message): void
                {
                    if ($this->down) {
                        throw new TransportException('450 come again later');
                    }
                    $this->taken++;
                }
            };
        });
        config(['mail.default' => 'unsteady', 'mail.mailers.unsteady' => ['transport' => 'unsteady']]);
    }

    public function test_it_waits_in_the_outbox_until_the_queue_has_sent_it(): void
    {
        Queue::fake();
        app(Mailer::class)->send([self::letter('a@elsewhere.test', 'https://school.test/secret')]);
        Queue::assertPushed(SendLetters::class, 1);
        $letter = Message::query()->sole();
        self::assertSame('waiting', $letter->state);
        self::assertStringNotContainsString('secret', $letter->body.$letter->sealed, 'What only its reader may see stands nowhere in the clear.');
        self::assertSame([], iterator_to_array(app(Postbox::class)->letters()));

        app(Post::class)->sendSome();
        $letter->refresh();
        self::assertSame(['sent', null], [$letter->state, $letter->sealed]);
        self::assertStringContainsString('Here: https://school.test/secret', iterator_to_array(app(Postbox::class)->letters('a@elsewhere.test'))[0]);
    }

    public function test_what_is_rolled_back_is_not_sent(): void
    {
        try {
            DB::transaction(static function (): void {
                app(Mailer::class)->send([self::letter('a@elsewhere.test')]);
                throw new \RuntimeException('Something else went wrong.');
            });
        } catch (\RuntimeException) {
        }
        self::assertSame(0, Message::query()->count());
        self::assertSame([], iterator_to_array(app(Postbox::class)->letters()));
    }

    public function test_its_heads_let_a_mail_program_stop_it(): void
    {
        app(Mailer::class)->send([self::letter('a@elsewhere.test', kind: 'ended')]);
        $arrived = iterator_to_array(app(Postbox::class)->letters('a@elsewhere.test'))[0];
        self::assertStringContainsString("List-Unsubscribe: <https://school.test/stop>\nList-Unsubscribe-Post: List-Unsubscribe=One-Click\n", $arrived);
        self::assertMatchesRegularExpression('/^Message-ID: <letter-\d+@/m', $arrived);
    }

    public function test_it_comes_from_whom_the_school_says_and_answers_go_where_it_says(): void
    {
        $heads = static function (string $to): array {
            $sent = [];
            Event::listen(MessageSent::class, static function (MessageSent $event) use (&$sent): void {
                $sent = [implode(',', array_map(static fn (Address $one): string => $one->toString(), $event->message->getFrom())), implode(',', array_map(static fn (Address $one): string => $one->toString(), $event->message->getReplyTo()))];
            });
            app(Mailer::class)->send([self::letter($to)]);

            return $sent;
        };
        $usual = '"Alder & Tide" <'.config()->string('mail.from.address').'>';
        self::assertSame([$usual, ''], $heads('a@elsewhere.test'));

        $settings = ['name' => 'Alder & Tide', 'currency' => 'EUR', 'guests' => true, 'warnDays' => 3, 'graceDays' => 7];
        $this->actingAs($this->person('hege'))->put('/keep/school', $settings + ['senderName' => 'The <yard>', 'senderEmail' => 'yard', 'replyEmail' => 'x'])->assertSessionHasErrors(['senderName', 'senderEmail', 'replyEmail']);
        $this->put('/keep/school', $settings + ['senderName' => 'The yard', 'senderEmail' => 'yard@alder.test', 'replyEmail' => 'office@alder.test'])->assertSessionHasNoErrors();
        self::assertSame(['"The yard" <yard@alder.test>', 'office@alder.test'], $heads('b@elsewhere.test'));
        $this->inAnotherProcess();
        self::assertStringContainsString('The yard <yard@alder.test>', (string) json_encode($this->get('/keep/outbox')->inertiaProps()));

        // What is not sent at all stays; left empty, it is as before.
        $this->put('/keep/school', $settings)->assertSessionHasNoErrors();
        self::assertSame('office@alder.test', $heads('c@elsewhere.test')[1]);
        $this->put('/keep/school', $settings + ['senderName' => '', 'senderEmail' => '', 'replyEmail' => ''])->assertSessionHasNoErrors();
        self::assertSame([$usual, ''], $heads('d@elsewhere.test'));
    }

    public function test_what_does_not_go_is_tried_again_with_growing_waits_and_given_up_at_last(): void
    {
        LetterText::query()->update(['on' => false]);
        [$down, $taken] = [true, 0];
        $this->server($down, $taken);
        app(Mailer::class)->send([self::letter('a@elsewhere.test')]);
        $waits = [];
        while (($letter = Message::query()->sole())->state === 'waiting') {
            $waits[] = ($letter->due_at?->getTimestamp() ?? 0) - now()->getTimestamp();
            self::assertFalse(app(Post::class)->isDue());
            Carbon::setTestNow($letter->due_at);
            Artisan::call('keep:write-letters');
        }
        self::assertSame([60, 300, 1800, 7200, 21600], $waits);
        self::assertSame(['failed', '450 come again later'], [$letter->state, $letter->problem]);

        $down = false;
        $this->actingAs($this->person('hege'));
        $this->get('/keep/outbox')->assertInertia(fn ($page) => $page->where('letters.0.state', 'failed')->where('letters.0.problem', '450 come again later'));
        $seen = ['tries' => $letter->tries];
        $this->post("/keep/outbox/letters/{$letter->id}", $seen)->assertSessionHas('flash.kind', 'done');
        $this->post("/keep/outbox/letters/{$letter->id}", $seen)->assertSessionHas('flash.kind', 'refused');
        self::assertSame(['sent', 1], [$letter->refresh()->state, $taken]);
    }

    public function test_one_that_does_not_go_keeps_no_other_back(): void
    {
        app(Mailer::class)->send([self::letter('not an address'), self::letter('b@elsewhere.test')]);
        self::assertSame(['waiting', 'sent'], Message::query()->orderBy('id')->pluck('state')->all());
    }

    public function test_who_stops_them_meanwhile_gets_none_that_wait(): void
    {
        Queue::fake();
        $eira = $this->person('eira')->id;
        app(Mailer::class)->send([self::letter('eira@alder.test', kind: 'ended', person: $eira), self::letter('eira@alder.test', 'x', person: $eira)]);
        LetterChoice::query()->create(['person_id' => $eira, 'kind' => 'ended', 'wanted' => false]);
        app(Post::class)->sendSome();
        self::assertSame(['stopped', 'sent'], Message::query()->orderBy('id')->pluck('state')->all());
    }

    public function test_two_workers_do_not_send_the_same_one_and_one_that_is_stopped_loses_none(): void
    {
        Queue::fake();
        app(Mailer::class)->send([self::letter('a@elsewhere.test')]);
        $letter = Message::query()->sole();
        // As a worker leaves it that has taken it and not come back.
        $letter->update(['due_at' => now()->addSeconds(300)]);
        app(Post::class)->sendSome();
        self::assertSame('waiting', $letter->refresh()->state);
        Carbon::setTestNow(now()->addSeconds(300));
        app(Post::class)->sendSome();
        self::assertSame('sent', $letter->refresh()->state);
    }

    public function test_many_letters_go_in_groups(): void
    {
        app(Mailer::class)->send(array_map(static fn (int $n): Letter => self::letter("crew{$n}@elsewhere.test"), range(1, 120)));
        self::assertSame(['sent' => 120], Message::query()->selectRaw('state, count(*) as n')->groupBy('state')->pluck('n', 'state')->map(static fn (mixed $n): int => is_numeric($n) ? (int) $n : 0)->all());
    }
}
