<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Access\SchoolClock;
use App\School\Letters\InTheirLanguage;
use App\Words\ReaderZone;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Times say whose they are where the reader's clock shows another, as far as their browser has told. */
final class ReadersZoneTest extends TestCase
{
    private function read(string $path, ?string $zone, string $who = 'eira'): string
    {
        $this->demoSchool('2026-03-10T12:00:00Z');
        $request = $zone === null ? $this : $this->withUnencryptedCookie('zone', $zone);

        return html_entity_decode((string) $request->actingAs($this->person($who))->get($path)->getContent());
    }

    /** @return array<string, array{?string, bool}> */
    public static function zones(): array
    {
        return [
            'not told' => [null, false], 'theirs is the school’s' => ['Europe/Oslo', false], 'another that shows the same' => ['Europe/Berlin', false],
            'an hour ahead' => ['Europe/Athens', true], 'half an hour off' => ['Asia/Kolkata', true], 'of another name' => ['US/Pacific', true],
            'none' => ['Europe/Nowhere', false], 'nothing' => ['', false], 'something else' => ["Europe/Athens'><script>", false],
        ];
    }

    #[DataProvider('zones')]
    public function test_a_time_says_whose_it_is(?string $zone, bool $told): void
    {
        $page = $this->read('/courses/clinker', $zone);
        self::assertStringContainsString('Fri 3 Apr, 10:00', $page);
        self::assertSame($told, str_contains($page, 'Fri 3 Apr, 10:00 Oslo time'));
        self::assertStringNotContainsString('<script>"', $page);
    }

    public function test_only_where_the_clocks_differ_then(): void
    {
        // All winter as in Oslo, and an hour behind from the end of March on.
        $page = $this->read('/courses/clinker', 'Africa/Algiers');
        self::assertStringContainsString('Fri 3 Apr, 10:00 Oslo time', $page);
        $page = $this->read('/courses/winter-refit', 'Africa/Algiers', 'embla');
        self::assertStringContainsString('Opens Wed 25 Mar, 08:00', str_replace("\u{A0}", ' ', $page));
        self::assertStringNotContainsString('25 Mar, 08:00 Oslo time', $page);
    }

    public function test_in_the_language_of_the_page(): void
    {
        $this->demoSchool('2026-03-10T12:00:00Z');
        $this->person('eira')->update(['language' => 'nb']);
        $page = html_entity_decode((string) $this->withUnencryptedCookie('zone', 'Europe/Athens')->actingAs($this->person('eira'))->get('/courses/clinker')->getContent());
        self::assertStringContainsString('10:00 Oslo-tid', $page);
    }

    public function test_those_who_run_the_school_read_its_own_time_everywhere(): void
    {
        foreach (['/keep/courses/clinker?lens=timeline', '/keep/people/3', '/keep/courses/clinker/stand-in/view?v[]=person:3&see=published'] as $path) {
            self::assertStringNotContainsString(':00 Oslo time', $this->read($path, 'Asia/Kolkata', 'hege'), $path);
        }
    }

    public function test_of_one_reader_nothing_is_left_for_the_next(): void
    {
        $this->read('/courses/clinker', 'Asia/Kolkata');
        $this->unencryptedCookies = [];
        self::assertStringNotContainsString('10:00 Oslo time', (string) $this->actingAs($this->person('sunniva'))->get('/courses/clinker')->getContent());
        self::assertStringNotContainsString('10:00 Oslo time', (string) $this->get('/')->getContent());
    }

    public function test_where_the_zone_is_told_anyhow_it_is_told_once(): void
    {
        $page = $this->read('/courses/clinker/l-launch', 'Asia/Kolkata');
        self::assertStringContainsString('It opens Fri 3 Apr, 10:00, Oslo time.', $page);
        self::assertStringNotContainsString('Oslo time, Oslo time', $page);
    }

    public function test_letters_name_the_zone_themselves(): void
    {
        $this->demoSchool('2026-03-10T12:00:00Z');
        $zone = app(ReaderZone::class);
        $zone->read('Asia/Kolkata');
        $words = static fn (): string => app(SchoolClock::class)->words(1774512000);
        self::assertSame(['Thu 26 Mar, 09:00 Oslo time', 'Thu 26 Mar, 09:00', 'Thu 26 Mar, 09:00 Oslo time'], [$words(), app(InTheirLanguage::class)->say($this->person('eira'), $words), $words()]);
    }
}
