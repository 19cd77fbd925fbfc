<?php

declare(strict_types=1);

/*
 * What a school has besides people and courses, so that each address of it answers with something: a draft, a file that was brought in, an
 * act on many people, a form, a bundle, a shared notice, links of their own. In the database that the application is set to; what is there already stays.
 *   php bin/bench-core/many-things.php PERSON COURSE     (address of a learner, key of a course that they hold)
 * Prints what stands for the parts of addresses, as JSON.
 */

use App\Access\SchoolAddress;
use App\Drafts\EditDraft;
use App\Drafts\Edits\SetCourse;
use App\Learning\Contents\MediaAddresses;
use App\Models\ActRecord;
use App\Models\Bundle;
use App\Models\Course;
use App\Models\Draft;
use App\Models\Form;
use App\Models\Import;
use App\Models\Medium;
use App\Models\NextRun;
use App\Models\Offer;
use App\Models\PeopleFile;
use App\Models\Person;
use App\Models\SignInLink;
use App\Pages\People\Lists\PeopleFiles;
use App\People\PeopleFilter;
use App\School\Tokens\Ability;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Contracts\Http\Kernel as HttpKernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

require __DIR__.'/../../vendor/autoload.php';

$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
[, $address, $key] = $argv;
$person = Person::query()->where('email', $address)->firstOrFail();
$course = Course::query()->where('key', $key)->firstOrFail();
$admin = Person::query()->where('email', 'admin@school.test')->firstOrFail();

Artisan::call('keep:token', ['name' => 'Bench', '--may' => array_map(static fn (Ability $ability): string => $ability->value, Ability::cases())]);
$token = trim(Artisan::output());
if (Draft::query()->where('course_id', $course->id)->doesntExist()) {
    $app->make(EditDraft::class)($course, 0, new SetCourse(['title' => 'A title that is drafted'], null), $admin);
}
if (Import::query()->doesntExist()) {
    $file = tempnam(sys_get_temp_dir(), 'people');
    file_put_contents($file, "name,email\n".implode('', array_map(static fn (int $n): string => "Nina Nornes {$n},nina{$n}@school.test\n", range(1, 1000))));
    Artisan::call('keep:import-people', ['file' => $file]);
    unlink($file);
}
$send = static function (string $path, array $body) use ($app, $token): void {
    $server = ['HTTP_AUTHORIZATION' => "Bearer {$token}", 'CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json', 'HTTP_X_EXPERIENCE_API_VERSION' => '1.0.3'];
    $answer = $app->make(HttpKernel::class)->handle(Request::create($path, 'POST', server: $server, content: json_encode($body, JSON_THROW_ON_ERROR)));
    $answer->isSuccessful() || throw new RuntimeException((string) $answer->getContent());
};
if (ActRecord::query()->doesntExist()) {
    $send('/api/v1/people/acts', ['do' => 'label', 'people' => Person::query()->whereNull('role')->orderBy('id')->limit(500)->pluck('id')->all(), 'label' => 'spring']);
}
if (DB::table('statements')->doesntExist()) {
    $send('/api/v1/xapi/statements', ['actor' => ['account' => ['homePage' => SchoolAddress::root(), 'name' => (string) $person->id]], 'verb' => ['id' => 'http://adlnet.gov/expapi/verbs/completed'], 'object' => ['id' => SchoolAddress::root()."/courses/{$key}/m0-l1"]]);
}
if (Form::query()->doesntExist()) {
    Form::query()->create(['name' => 'Ask us', 'token' => str_repeat('f', 20), 'text' => 'Ask.', 'questions' => [['ask' => 'What for?', 'required' => true]], 'thanks' => 'Thank you.']);
}
if (Bundle::query()->doesntExist()) {
    Bundle::query()->create(['key' => 'both', 'name' => 'Two at once', 'price' => 9000])->offers()->attach(Offer::query()->orderBy('id')->limit(2)->pluck('id')->all());
}
SignInLink::query()->insertOrIgnore(['person_id' => $person->id, 'token_hash' => hash('sha256', str_repeat('5', 40)), 'expires_at' => gmdate('Y-m-d H:i:s', time() + 365 * 86400)]);
NextRun::query()->insertOrIgnore(['course_id' => $course->id, 'name' => 'Nina', 'email' => 'nina@school.test', 'token' => str_repeat('n', 40), 'asked_at' => gmdate('Y-m-d H:i:s')]);
if (Medium::query()->doesntExist()) {
    $lesson = ['course_id' => $course->id, 'item_key' => 'm0-l1', 'position' => 0];
    Storage::put('media/film', (string) file_get_contents(__DIR__.'/../../database/demo/media/riveting.webm'));
    Storage::put('media/still', (string) base64_decode('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==', true));
    Medium::query()->create([...$lesson, 'kind' => 'video', 'title' => 'Riveting', 'name' => 'riveting.webm', 'path' => 'media/film', 'type' => 'video/webm', 'bytes' => Storage::size('media/film'), 'seconds' => 12.0,
        'captions' => "WEBVTT\n\n00:00.000 --> 00:02.000\nTwice.\n", 'captions_language' => 'en', 'poster' => 'media/still', 'poster_type' => 'image/png']);
}
// Of everybody, as large as it gets.
if (PeopleFile::query()->doesntExist()) {
    config(['queue.default' => 'sync']);
    $app->make(PeopleFiles::class)->ask(new PeopleFilter, '', Person::query()->where('email', 'admin@school.test')->firstOrFail(), listed: true);
}
$medium = Medium::query()->firstOrFail();
$media = array_map(static fn (string $what): string => $app->make(MediaAddresses::class)->of($medium, "person {$person->id}", $what), ['file' => 'file', 'poster' => 'poster', 'captions' => 'captions']);
$person->calendar_token === null && $person->update(['calendar_token' => str_repeat('c', 40)]);
$course->guest_token === null && $course->update(['guest_token' => str_repeat('9', 32)]);
DB::table('shared_notices')->insertOrIgnore(['name' => 'At the door', 'live' => json_encode(['heading' => 'Closed', 'titled' => true, 'text' => 'Not yet.', 'parts' => '[]']), 'published_at' => gmdate('Y-m-d H:i:s')]);
$learner = Person::query()->whereNull('role')->whereKeyNot($person->id)->orderBy('id')->firstOrFail();
DB::table('observer_ties')->insertOrIgnore(['observer_id' => $person->id, 'learner_id' => $learner->id]);

echo json_encode([
    'token' => $token, 'import' => Import::query()->max('id'), 'act' => ActRecord::query()->max('id'), 'form' => Form::query()->max('id'), 'form token' => Form::query()->value('token'), 'bundle' => Bundle::query()->value('key'),
    'shared' => DB::table('shared_notices')->max('id'), 'calendar' => $person->refresh()->calendar_token, 'guest' => $course->refresh()->guest_token, 'learner' => $learner->id,
    'file' => PeopleFile::query()->max('id'), 'sign-in' => str_repeat('5', 40), 'next run' => str_repeat('n', 40), 'media' => $media, 'statement' => DB::table('statements')->value('id'),
], JSON_THROW_ON_ERROR)."\n";
