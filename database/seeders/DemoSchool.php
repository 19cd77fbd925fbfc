<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Ledger\History\History;
use App\Models\BoardPost;
use App\Models\Completion;
use App\Models\Content;
use App\Models\Course;
use App\Models\Label;
use App\Models\Medium;
use App\Models\Offer;
use App\Models\Person;
use App\Models\Role;
use App\Models\School;
use App\People\MakePass;
use App\Publishing\Plans\ImportPlan;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Storage;
use Psr\Clock\ClockInterface;

/**
 * The made-up school Alder & Tide. All dates are told from the day on which it is loaded, so that every
 * state can be seen on any day.
 */
final class DemoSchool
{
    public const PASSWORD = 'larch-and-oak';

    private DateTimeImmutable $now;

    public function __construct(private readonly ImportPlan $import, private readonly MakePass $makePass, private readonly DemoLetters $letters, private readonly DemoNotices $notices, private readonly DemoTriggers $triggers, private readonly DemoFaces $faces, private readonly History $history, private readonly ClockInterface $clock)
    {
    }

    public function run(): void
    {
        $this->now = $this->clock->now()->setTimezone(new DateTimeZone('Europe/Oslo'));
        DB::transaction(fn () => $this->history->of(function (): void {
            $school = School::query()->create([
                'name' => 'Alder & Tide', 'zone' => 'Europe/Oslo', 'guests' => true,
                'contact_name' => 'Hege Strand', 'contact_email' => 'hege@alder.test',
            ]);
            $this->courses($school);
            $this->prices();
            $this->texts();
            $this->faces->run();
            $this->media();
            $this->people();
            $this->posts();
            $this->letters->run($this->now);
            $this->notices->run($this->now);
            $this->triggers->run($this->now);
        }));
    }

    /** `+3 days 10:00` from today, as a wall-clock time of the plan format. */
    private function local(string $offset): string
    {
        return $this->now->modify($offset)->format('Y-m-d\TH:i');
    }

    private function courses(School $school): void
    {
        $clinker = json_decode((string) file_get_contents(database_path('demo/clinker.plan.json')), false, 512, JSON_THROW_ON_ERROR);
        assert($clinker instanceof \stdClass);
        $clinker->courses[0]->plans->weekly->{'l-launch'}->opens->at = $this->local('+24 days 10:00');
        $clinker->courses[0]->plans->weekly->{'l-launch'}->closes->at = $this->local('+35 days 00:00');
        foreach ($clinker->offers as $offer) {
            $offer->title = ['apprentice-pass' => 'Apprentice pass', 'journeyman-pass' => 'Journeyman pass', 'yard-trial' => 'Yard trial', 'tools-only' => 'Tools only', 'taster' => 'Taster'][$offer->key];
        }
        $this->importPlan($clinker, $school);
        foreach ([$this->steamBentFrames(), $this->sailsByHand(), $this->winterRefit(), $this->oarsAndSpars(), $this->petrolEngines(), DemoFaults::course($this->local(...))] as [$course, $offers]) {
            $this->importPlan(['format' => 'silent-keep.plan/1', 'school' => ['zone' => 'Europe/Oslo', 'guests' => true], 'offers' => $offers, 'courses' => [$course]], $school);
        }
    }

    private function importPlan(mixed $plan, School $school): void
    {
        ($this->import)(json_encode($plan, JSON_THROW_ON_ERROR), $school);
    }

    /** @return array{array<string, mixed>, list<array<string, mixed>>} */
    private function steamBentFrames(): array
    {
        return [[
            'key' => 'steam-frames', 'title' => 'Steam-bent frames', 'state' => 'live', 'entry' => 'offer', 'in_order' => true,
            'observer_door' => ['open' => true, 'default' => true],
            'main_plan' => 'fortnightly',
            'plans' => ['fortnightly' => [
                'm-bend' => ['opens' => ['rule' => 'after_previous', 'days' => 14, 'time' => '08:00', 'weekday' => 1]],
                'm-fit' => ['opens' => ['rule' => 'after_previous', 'days' => 14, 'time' => '08:00', 'weekday' => 1]],
            ]],
            'items' => [
                ['key' => 'b-bench', 'kind' => 'board', 'title' => 'Round the bench'],
                ['key' => 'm-wood', 'kind' => 'module', 'title' => 'Green oak', 'items' => [
                    ['key' => 'l-log', 'kind' => 'lesson', 'title' => 'Reading a log', 'sample' => true],
                    ['key' => 'l-rive', 'kind' => 'lesson', 'title' => 'Riving blanks'],
                ]],
                ['key' => 'm-bend', 'kind' => 'module', 'title' => 'Over the trap', 'items' => [
                    ['key' => 'l-heat', 'kind' => 'lesson', 'title' => 'Forty minutes of steam'],
                    ['key' => 'l-trap', 'kind' => 'lesson', 'title' => 'Bending over the trap'],
                ]],
                ['key' => 'm-fit', 'kind' => 'module', 'title' => 'Into the hull', 'items' => [
                    ['key' => 'l-clench', 'kind' => 'lesson', 'title' => 'Clenching frames'],
                ]],
            ],
        ], [['key' => 'frames-pass', 'course' => 'steam-frames', 'title' => 'Frames pass', 'plan' => 'fortnightly', 'lasts' => ['days' => 120]]]];
    }

    /** @return array{array<string, mixed>, list<array<string, mixed>>} */
    private function sailsByHand(): array
    {
        return [[
            'key' => 'sails', 'title' => 'Sails by hand', 'state' => 'live', 'entry' => 'anyone',
            'main_plan' => 'calendar', 'plans' => ['calendar' => ['l-reef' => ['opens' => ['rule' => 'on', 'at' => $this->local('+9 days 09:00')]]]],
            'items' => [
                ['key' => 'l-cloth', 'kind' => 'lesson', 'title' => 'Choosing cloth'],
                ['key' => 'l-seams', 'kind' => 'lesson', 'title' => 'Flat seams'],
                ['key' => 'l-reef', 'kind' => 'lesson', 'title' => 'Reef points'],
            ],
        ], []];
    }

    /** @return array{array<string, mixed>, list<array<string, mixed>>} */
    private function winterRefit(): array
    {
        return [[
            'key' => 'winter-refit', 'title' => 'Winter refit', 'state' => 'live', 'entry' => 'offer',
            'opens' => $this->local('-20 days 08:00'), 'closes' => $this->local('+70 days 18:00'),
            'main_plan' => 'season', 'plans' => ['season' => [
                'm-strip' => ['opens' => ['rule' => 'at_once'], 'closes' => ['rule' => 'on', 'at' => $this->local('-2 days 18:00')]],
                'm-caulk' => ['opens' => ['rule' => 'on', 'at' => $this->local('-6 days 08:00')]],
                'm-paint' => ['opens' => ['rule' => 'on', 'at' => $this->local('+15 days 08:00')]],
            ]],
            'items' => [
                ['key' => 'b-dates', 'kind' => 'board', 'title' => 'My dates'],
                ['key' => 'm-strip', 'kind' => 'module', 'title' => 'Stripping', 'items' => [['key' => 'l-scrape', 'kind' => 'lesson', 'title' => 'Scraping back to wood']]],
                ['key' => 'm-caulk', 'kind' => 'module', 'title' => 'Caulking', 'items' => [['key' => 'l-oakum', 'kind' => 'lesson', 'title' => 'Rolling oakum'], ['key' => 'l-pay', 'kind' => 'lesson', 'title' => 'Paying seams', 'after' => ['all' => ['l-oakum']]]]],
                ['key' => 'm-paint', 'kind' => 'module', 'title' => 'Paint and launch', 'items' => [['key' => 'l-coats', 'kind' => 'lesson', 'title' => 'Three thin coats']]],
            ],
        ], [['key' => 'refit-crew', 'course' => 'winter-refit', 'title' => 'Refit crew', 'plan' => 'season', 'lasts' => ['until' => $this->local('+70 days 18:00')]]]];
    }

    /** @return array{array<string, mixed>, list<array<string, mixed>>} */
    private function oarsAndSpars(): array
    {
        return [['key' => 'oars', 'title' => 'Oars and spars', 'state' => 'draft', 'entry' => 'invite', 'items' => [
            ['key' => 'l-spruce', 'kind' => 'lesson', 'title' => 'Spruce for oars'],
            ['key' => 'l-leather', 'kind' => 'lesson', 'title' => 'Leathers and buttons'],
        ]], []];
    }

    /** @return array{array<string, mixed>, list<array<string, mixed>>} */
    private function petrolEngines(): array
    {
        return [['key' => 'petrol', 'title' => 'Petrol engines for small boats', 'state' => 'retired', 'entry' => 'offer', 'items' => [
            ['key' => 'l-carburettor', 'kind' => 'lesson', 'title' => 'The carburettor'],
            ['key' => 'l-winter', 'kind' => 'lesson', 'title' => 'Laying up an engine'],
        ]], [['key' => 'engine-pass', 'course' => 'petrol', 'title' => 'Engine pass']]];
    }

    private function prices(): void
    {
        foreach (['apprentice-pass' => 24000, 'journeyman-pass' => 39000, 'yard-trial' => 0, 'tools-only' => 6000, 'frames-pass' => 18000, 'refit-crew' => 12000] as $key => $price) {
            Offer::query()->where('key', $key)->update(['price' => $price]);
        }
        Offer::query()->where('key', 'yard-trial')->update(['trial' => true, 'again' => 'once', 'not_after_course' => true]);
        Offer::query()->where('key', 'journeyman-pass')->update(['upgrade_price' => 18000]);
    }

    private function texts(): void
    {
        $texts = require database_path('demo/texts.php');
        assert(is_array($texts));
        foreach ($texts as $courseKey => $told) {
            assert(is_array($told));
            $course = Course::query()->where('key', $courseKey)->firstOrFail();
            $course->update(['about' => $told['about']]);
            foreach ($told['items'] as $item => $text) {
                Content::query()->create(['course_id' => $course->id, 'item_key' => $item, 'text' => $text, 'quiz' => $told['quizzes'][$item] ?? [], 'board' => $told['boards'][$item] ?? null]);
            }
        }
    }

    /** The clips are ours: drawn and sounded by the script beside them. */
    private function media(): void
    {
        $rows = [
            ['clinker', 'l-welcome', 'image', 'The strakes, seen from the stern', 'strakes.png', 'image/png', null],
            ['clinker', 'l-welcome', 'audio', 'The caulking mallet, heard from the quay', 'mallet.ogg', 'audio/ogg', 8.0],
            ['clinker', 'l-welcome', 'file', 'What to bring', 'what-to-bring.txt', 'text/plain', null],
            ['clinker', 'l-steam', 'video', 'A plank bends', 'bending.webm', 'video/webm', 16.003],
            ['clinker', 'l-rivets', 'video', 'Four light blows', 'riveting.webm', 'video/webm', 12.003],
        ];
        foreach ($rows as $position => [$course, $item, $kind, $title, $file, $type, $seconds]) {
            $from = database_path("demo/media/{$file}");
            if (! Storage::exists("media/demo/{$file}")) {
                Storage::put("media/demo/{$file}", (string) file_get_contents($from));
            }
            Medium::query()->create([
                'course_id' => Course::query()->where('key', $course)->firstOrFail()->id, 'item_key' => $item, 'kind' => $kind, 'title' => $title,
                'name' => $file, 'path' => "media/demo/{$file}", 'type' => $type, 'bytes' => (int) filesize($from), 'seconds' => $seconds, 'position' => $position,
                ...($kind === 'video' ? ['captions' => (string) file_get_contents(substr($from, 0, -5).'.vtt'), 'captions_language' => 'en'] : []),
            ]);
        }
    }

    /** Who, how many days ago, what, and whether it answers what stands before it. */
    private function posts(): void
    {
        $course = Course::query()->where('key', 'steam-frames')->firstOrFail();
        foreach ([['ask', -5, 'Has anybody found green oak this side of the sound? The yard is out until spring.'], ['mathea', -4, 'The sawmill by the church has two butts. Ask for the one that was felled in November.'], ['hege', -3, 'Both are still there. I have put your name on the smaller one, Ask.'], ['oda', -2, 'How do you keep the kettle rolling for a whole hour? Mine gives up after forty minutes.'], ['mathea', -1, 'Two kettles, and fill the one that rests.']] as $index => [$who, $days, $text]) {
            $answers = in_array($index, [1, 2], true) ? 'ask' : ($index === 4 ? 'oda' : null);
            BoardPost::query()->create(['answers_id' => $answers === null ? null : BoardPost::query()->where('course_id', $course->id)->where('person_id', Person::query()->where('email', "{$answers}@alder.test")->value('id'))->value('id'), 'course_id' => $course->id, 'item_key' => 'b-bench', 'person_id' => Person::query()->where('email', "{$who}@alder.test")->firstOrFail()->id, 'text' => $text, 'posted_at' => $this->now->modify("{$days} days")]);
        }
    }

    private function people(): void
    {
        $password = Hash::make(self::PASSWORD);
        $person = static fn (string $name, ?Role $role = null): Person => Person::query()->create([
            'name' => $name, 'email' => self::email($name), 'password' => $password, 'role' => $role,
        ]);
        $person('Hege Strand', Role::Administrator);
        $person('Aksel Vik', Role::Assistant);

        $tools = ['l-welcome', 'l-planes', 'l-timber', 'l-steam'];
        // Who, by which offer, how many days ago it began (negative: still to come), what is finished, labels, another state of the pass.
        $rows = [
            ['Eira Holm', 'apprentice-pass', 8, ['l-welcome']],
            ['Sunniva Dahl', 'apprentice-pass', 2, []],
            ['Torvald Moe', 'apprentice-pass', 4, ['l-welcome']],
            ['Ragna Lie', 'apprentice-pass', 21, array_slice($tools, 0, 3)],
            ['Sindre Aune', 'apprentice-pass', 35, $tools],
            ['Ylva Berge', 'apprentice-pass', 60, [...$tools, 'l-garboard', 'l-rivets']],
            ['Odd Nesse', 'apprentice-pass', 175, $tools],
            ['Gro Tangen', 'apprentice-pass', 181, $tools],
            ['Birk Solheim', 'apprentice-pass', -5, []],
            ['Liv Haugen', 'apprentice-pass', 12, ['l-welcome', 'l-planes'], [], 'paused'],
            ['Kaia Rønning', 'apprentice-pass', 15, ['l-welcome'], [], 'revoked'],
            ['Jorunn Eide', 'journeyman-pass', 28, ['l-welcome', 'l-planes', 'l-timber'], ['oar-bonus']],
            ['Halvard Skog', 'journeyman-pass', 90, [...$tools, 'l-advanced', 'l-garboard'], ['oar-bonus']],
            ['Tuva Myhre', 'journeyman-pass', 1, []],
            ['Eskil Brandt', 'journeyman-pass', 40, ['l-welcome', 'l-planes']],
            ['Solveig Foss', 'yard-trial', 9, ['l-welcome', 'l-planes']],
            ['Marius Hval', 'yard-trial', 3, []],
            ['Nina Krog', 'yard-trial', 14, ['l-welcome', 'l-planes', 'l-timber']],
            ['Per Anders Lund', 'tools-only', 20, ['l-planes']],
            ['Idun Sæther', 'taster', 6, []],
            ['Ask Vollan', 'frames-pass', 16, ['l-log', 'l-rive']],
            ['Mathea Bru', 'frames-pass', 30, ['l-log', 'l-rive', 'l-heat', 'l-trap']],
            ['Oda Lien', 'frames-pass', 5, ['l-log']],
            ['Leif Torsvik', 'frames-pass', 119, ['l-log']],
            ['Embla Aas', 'refit-crew', 18, ['l-scrape', 'l-oakum']],
            ['Sverre Dal', 'refit-crew', 10, []],
            ['Runa Fjeld', 'engine-pass', 300, ['l-carburettor']],
        ];
        foreach ($rows as $row) {
            $this->learner($person($row[0]), $row[1], $row[2], $row[3], $row[4] ?? [], $row[5] ?? 'active');
        }
        foreach (['Amund Rud', 'Bergljot Nes', 'Dagny Holt', 'Einar Sand', 'Frida Lunde', 'Gaute Moen', 'Helga Borg', 'Iver Ness', 'Jenny Vang', 'Kristen Ask', 'Lars Egge', 'Maiken Ulv', 'Njål Rygg'] as $index => $name) {
            $this->learner($person($name), $index % 3 === 0 ? 'journeyman-pass' : 'apprentice-pass', 5 + $index * 11, array_slice($tools, 0, $index % 5), [], 'active');
        }
        $person('Jonas Wren');
        $person('Målfrid Aune-Kirkenær Lofthus von Østergaard');
    }

    /**
     * @param  list<string>  $done
     * @param  list<string>  $labels
     */
    private function learner(Person $person, string $offerKey, int $daysAgo, array $done, array $labels, string $state): void
    {
        $offer = Offer::query()->with('course.liveRevision')->where('key', $offerKey)->firstOrFail();
        $from = $this->now->modify(sprintf('%+d days', -$daysAgo));
        ($this->makePass)($person, $offer, $from->getTimestamp())->update(['state' => $state, 'source' => 'with the demo']);
        foreach ($labels as $label) {
            Label::query()->create(['person_id' => $person->id, 'label' => $label]);
        }
        foreach ($done as $index => $item) {
            $at = min($from->modify('+'.($index + 1).' days')->getTimestamp(), $this->now->getTimestamp() - 3600 * (count($done) - $index));
            Completion::query()->create(['person_id' => $person->id, 'course_id' => $offer->course_id, 'item_key' => $item, 'completed_at' => max($at, $from->getTimestamp() + 60)]);
        }
    }

    private static function email(string $name): string
    {
        $ascii = strtr(mb_strtolower($name), ['ø' => 'o', 'æ' => 'ae', 'å' => 'a', 'ö' => 'o']);

        return explode(' ', $ascii)[0].'@alder.test';
    }
}
