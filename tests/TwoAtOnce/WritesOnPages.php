<?php

declare(strict_types=1);

namespace Tests\TwoAtOnce;

use App\Models\Content;
use App\Models\Language;
use Closure;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;

/** What is written of public pages, lessons and boards, for {@see WriteBesideWriteTest}. */
trait WritesOnPages
{
    /**
     * @param  Closure  $admin  signs the administrator in
     * @return array<string, array{Closure, Closure, Closure}>
     */
    private static function onPages(Closure $admin): array
    {
        $face = ['version' => 0, 'sentence' => 'Anew.', 'about' => '', 'subject' => '', 'outcomes' => '', 'questions' => [], 'cover' => '', 'focusX' => 50, 'focusY' => 50, 'drawing' => '', 'contactName' => '', 'contactEmail' => ''];
        $film = static fn (): int => (int) DB::table('media')->where('item_key', 'l-steam')->value('id');
        $mathea = static function (self $test): int {
            $test->actingAs($test->person('mathea'))->post('/courses/steam-frames/b-bench/posts', ['text' => 'Mine'])->assertSessionHasNoErrors();

            return (int) DB::table('posts')->max('id');
        };
        $version = static fn (self $test): int => Content::query()->where('course_id', $test->course()->id)->where('item_key', 'l-planes')->sole()->version;
        $lesson = '/keep/courses/clinker/contents/l-planes';
        $done = static fn (string $table, array $where): Closure => static fn (): bool => DB::table($table)->where($where)->exists();

        $givenUp = static function (self $test) use ($admin): int {
            $admin($test);
            $test->post('/keep/courses/clinker/draft/edits', ['version' => 0, 'set' => 'sample', 'items' => ['l-steam'], 'value' => 'yes'])->assertSessionHasNoErrors();
            $test->delete('/keep/courses/clinker/draft', ['version' => 1])->assertSessionHas('flash.kind', 'done');

            return (int) DB::table('given_up')->max('id');
        };

        return [
            'bring back what was given up' => [$givenUp, static fn (self $test, mixed $id) => $test->post('/keep/courses/clinker/draft/given-up/'.(is_int($id) ? $id : 0), ['version' => 0])->assertSessionHas('flash.kind', 'done'), static fn (): bool => DB::table('given_up')->doesntExist() && DB::table('drafts')->where('document', 'like', '%l-steam%')->exists()],
            'say that what is found is meant so' => [
                static function (self $test) use ($admin): array {
                    $admin($test);
                    $row = $test->get('/keep/courses/clinker/checks')->inertiaProps('findings.0');

                    return is_array($row) ? ['subject' => $row['subject'], 'cause' => $row['cause'], 'reason' => 'Meant'] : [];
                },
                static fn (self $test, array $given) => $test->post('/keep/courses/clinker/checks/accepted', $given)->assertSessionHas('flash.kind', 'done'), $done('accepted_findings', ['reason' => 'Meant']),
            ],
            'write what a course shows of itself' => [
                static function (self $test) use ($admin, $face): array {
                    $admin($test);
                    DB::table('course_faces')->where('course_id', $test->course()->id)->delete();

                    return $face;
                },
                static fn (self $test, array $given) => $test->put('/keep/courses/clinker/face', $given)->assertSessionHas('flash.kind', 'done'),
                $done('course_faces', ['sentence' => 'Anew.']),
            ],
            'write the front' => [$admin, static fn (self $test) => $test->put('/keep/school/front', ['title' => 'Anew', 'text' => '', 'picture' => '', 'focusX' => 50, 'focusY' => 50])->assertSessionHas('flash.kind', 'done'), $done('schools', ['front_title' => 'Anew'])],
            'rename a label' => [$admin, static fn (self $test) => $test->put('/keep/school/labels', ['from' => 'oar-bonus', 'to' => 'oars'])->assertSessionHas('flash.kind', 'done'), $done('labels', ['label' => 'oars'])],
            'change the zone' => [$admin, static fn (self $test) => $test->put('/keep/school/zone', ['from' => 'Europe/Oslo', 'zone' => 'Asia/Tokyo'])->assertSessionHas('flash.kind', 'done'), $done('schools', ['zone' => 'Asia/Tokyo'])],
            'choose a language' => [static fn (self $test): mixed => $test->actingAs($test->person('eira')), static fn (self $test) => $test->post('/language', ['language' => 'nb'])->assertSessionHasNoErrors(), static fn (self $test): bool => $test->person('eira')->refresh()->language === Language::Norwegian],
            'answer on a board' => [$mathea, static fn (self $test, int $post) => $test->post('/courses/steam-frames/b-bench/posts', ['text' => 'To it', 'answers' => $post])->assertSessionHasNoErrors(), $done('posts', ['text' => 'To it'])],
            'change one\'s words on a board' => [$mathea, static fn (self $test, int $post) => $test->put("/courses/steam-frames/b-bench/posts/{$post}", ['text' => 'Better'])->assertSessionHasNoErrors(), $done('posts', ['text' => 'Better'])],
            'write captions' => [
                $admin,
                static fn (self $test) => $test->post("/keep/courses/clinker/contents/l-steam/media/{$film()}", ['title' => 'Anew', 'language' => 'en', 'captions' => UploadedFile::fake()->createWithContent('a.vtt', "WEBVTT\n\n00:00.000 --> 00:02.000\nWait.\n")])->assertSessionHas('flash.kind', 'done'),
                $done('media', ['title' => 'Anew']),
            ],
            'draft what a lesson holds' => [
                static function (self $test) use ($admin, $version): int {
                    $admin($test);

                    return $version($test);
                },
                static fn (self $test, int $seen) => $test->put($lesson, ['version' => $seen, 'drafted' => 0, 'text' => 'Later.', 'later' => true])->assertSessionHas('flash.kind', 'done'),
                static fn (): bool => Content::query()->where('item_key', 'l-planes')->whereNotNull('drafted')->exists(),
            ],
            'leave what was drafted of a lesson' => [
                static function (self $test) use ($admin, $version, $lesson): void {
                    $admin($test);
                    $test->put($lesson, ['version' => $version($test), 'drafted' => 0, 'text' => 'Later.', 'later' => true])->assertSessionHas('flash.kind', 'done');
                },
                static fn (self $test) => $test->delete($lesson, ['drafted' => 1])->assertSessionHas('flash.kind', 'done'),
                static fn (): bool => Content::query()->where('item_key', 'l-planes')->whereNull('drafted')->where('drafted_version', 2)->exists(),
            ],
            'publish what a lesson is to hold' => [
                static function (self $test) use ($admin, $version, $lesson): int {
                    $admin($test);
                    $test->put($lesson, ['version' => $version($test), 'drafted' => 0, 'text' => 'Later.', 'later' => true])->assertSessionHas('flash.kind', 'done');

                    return (int) DB::table('drafts')->value('version');
                },
                static fn (self $test, int $seen) => $test->post('/keep/courses/clinker/revisions', ['version' => $seen])->assertSessionHas('flash.kind', 'done'),
                $done('contents', ['item_key' => 'l-planes', 'text' => 'Later.']),
            ],
            'write into a module' => [$admin, static fn (self $test) => $test->put('/keep/courses/clinker/contents/m-planks', ['version' => 0, 'text' => 'Three strakes.'])->assertSessionHas('flash.kind', 'done'), $done('contents', ['item_key' => 'm-planks', 'text' => 'Three strakes.'])],
            'take captions away' => [$admin, static fn (self $test) => $test->delete("/keep/courses/clinker/contents/l-steam/media/{$film()}/captions")->assertSessionHas('flash.kind', 'done'), $done('media', ['item_key' => 'l-steam', 'captions' => null])],
            'give one more try' => [
                static function (self $test) use ($admin): int {
                    $eira = $test->person('eira')->id;
                    DB::table('contents')->where('item_key', 'l-timber')->update(['quiz_rules' => '{"tries":1}']);
                    DB::table('quiz_tries')->insert(['person_id' => $eira, 'course_id' => $test->course()->id, 'item_key' => 'l-timber', 'score' => 0, 'answers' => '[]', 'tried_at' => '2026-03-10 12:00:00']);
                    $admin($test);

                    return $eira;
                },
                static fn (self $test, int $eira) => $test->post('/keep/people/acts', ['do' => 'try', 'people' => [$eira], 'course' => 'clinker', 'item' => 'l-timber'])->assertSessionHas('flash.kind', 'done'),
                $done('given_tries', ['item_key' => 'l-timber']),
            ],
            'bring back what a lesson held' => [
                static function (self $test) use ($admin, $version, $lesson): array {
                    $admin($test);
                    foreach (['One.', 'Two.'] as $text) {
                        $test->put($lesson, ['version' => $version($test), 'drafted' => 0, 'text' => $text])->assertSessionHas('flash.kind', 'done');
                    }

                    return [(int) DB::table('content_versions')->max('id'), $version($test)];
                },
                static fn (self $test, array $seen) => $test->post("{$lesson}/earlier/{$seen[0]}", ['version' => $seen[1]])->assertSessionHas('flash.kind', 'done'),
                static fn (): bool => Content::query()->where('item_key', 'l-planes')->where('text', 'One.')->exists(),
            ],
            'correct who somebody is' => [$admin, static fn (self $test) => $test->put("/keep/people/{$test->person('eira')->id}", ['name' => 'Eira Lund', 'email' => 'eira@alder.test', 'from' => 'eira@alder.test'])->assertSessionHas('flash.kind', 'done'), $done('people', ['name' => 'Eira Lund'])],
            'erase somebody' => [$admin, static fn (self $test) => $test->delete("/keep/people/{$test->person('eira')->id}", ['typed' => 'eira@alder.test'])->assertSessionHas('flash.kind', 'done'), $done('erased_people', ['state' => 'done'])],
            'set for how long what is kept' => [
                static function (self $test) use ($admin): mixed {
                    $admin($test);

                    return array_column((array) $test->get('/keep/school/kept')->inertiaProps('rows'), 'days', 'kind');
                },
                static fn (self $test, array $days) => $test->put('/keep/school/kept', ['days' => [...$days, 'log' => 365], 'from' => $days])->assertSessionHas('flash.kind', 'done'),
                static fn (): bool => str_contains((string) DB::table('schools')->value('kept_days'), '"log":365'),
            ],
            'copy a lesson with what it holds' => [$admin, static fn (self $test) => $test->post('/keep/courses/clinker/draft/outline', ['version' => 0, 'do' => 'duplicate', 'item' => 'l-planes'])->assertSessionHasNoErrors(), $done('contents', ['item_key' => 'l-planes-2'])],
        ];
    }
}
