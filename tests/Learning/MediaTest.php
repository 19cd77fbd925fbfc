<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Models\Medium;
use App\Models\Pass;
use Illuminate\Support\Carbon;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

final class MediaTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    /** The address of a medium as it stands in the page of its lesson. */
    private function address(string $lesson, int $index = 0): string
    {
        $address = '';
        $this->get("/courses/clinker/{$lesson}")->assertOk()->assertInertia(function (Page $page) use (&$address, $index): void {
            $address = $page->toArray()['props']['media'][$index]['href'];
        });
        self::assertIsString($address);

        return $address;
    }

    public function test_an_open_lesson_plays_its_media_in_parts(): void
    {
        $address = $this->actingAs($this->person('ragna'))->address('l-steam');
        $whole = $this->get($address)->assertOk()->assertHeader('Content-Type', 'video/webm')->assertHeader('Accept-Ranges', 'bytes');

        self::assertStringContainsString('sandbox', (string) $whole->headers->get('Content-Security-Policy'));
        self::assertSame('nosniff', $whole->headers->get('X-Content-Type-Options'));
        self::assertStringContainsString('private', (string) $whole->headers->get('Cache-Control'));
        self::assertStringStartsWith('inline', (string) $whole->headers->get('Content-Disposition'));
        $this->get($address, ['Range' => 'bytes=100-199'])->assertStatus(206)->assertHeader('Content-Length', '100');
    }

    public function test_a_link_passed_to_somebody_else_does_not_play(): void
    {
        $address = $this->actingAs($this->person('ragna'))->address('l-steam');
        $this->actingAs($this->person('sindre'))->get('/courses/clinker/l-steam')->assertOk();
        $this->get($address)->assertForbidden();
        $this->post('/sign-out');
        $this->get($address)->assertForbidden();
    }

    public function test_visitors_have_addresses_of_their_own_too(): void
    {
        $visit = (string) $this->get('/courses/clinker')->getCookie('silent_keep_session')?->getValue();
        $this->withCookie('silent_keep_session', $visit);
        $address = $this->address('l-welcome');
        $this->get($address)->assertOk()->assertHeader('Content-Type', 'image/png');
        $this->withCookie('silent_keep_session', str_repeat('a', 40))->get($address)->assertForbidden();
    }

    public function test_an_address_holds_an_hour_and_not_for_long_after(): void
    {
        $address = $this->actingAs($this->person('ragna'))->address('l-steam');
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $this->get($address)->assertOk();
        Carbon::setTestNow('2026-03-10T14:00:01Z');
        $this->get($address)->assertForbidden();
    }

    public function test_an_address_cannot_be_guessed_or_changed(): void
    {
        $this->actingAs($this->person('ragna'));
        $address = $this->address('l-steam');
        $other = Medium::query()->where('item_key', 'l-rivets')->firstOrFail();
        $this->get("/media/{$other->id}")->assertForbidden();
        $this->get((string) preg_replace('~/media/\d+~', "/media/{$other->id}", $address))->assertForbidden();
        $this->get((string) preg_replace('/expires=\d+/', 'expires=99999999999', $address))->assertForbidden();
        $this->get('/media/4711')->assertForbidden();
    }

    public function test_each_request_asks_anew_whether_it_is_open(): void
    {
        $this->actingAs($this->person('sindre'));
        $address = $this->address('l-steam');
        Pass::query()->where('person_id', $this->person('sindre')->id)->update(['state' => 'revoked']);
        $this->get($address)->assertForbidden();
    }

    public function test_files_are_downloaded_and_never_shown_in_our_name(): void
    {
        $address = $this->actingAs($this->person('eira'))->address('l-welcome', 2);
        $answer = $this->get($address)->assertOk();
        self::assertSame('attachment; filename=what-to-bring.txt', $answer->headers->get('Content-Disposition'));
    }

    public function test_a_closed_lesson_has_no_address_in_any_page(): void
    {
        $this->actingAs($this->person('eira'));
        foreach (['/courses/clinker', '/courses/clinker/l-steam', '/courses/clinker/l-planes', '/courses'] as $page) {
            $this->get($page)->assertDontSee('media\/', false)->assertDontSee('/media/', false);
        }
    }
}
