<?php

declare(strict_types=1);

/*
 * What a school has besides people and courses, so that each address of it answers with something: a draft, a file that was brought in, an
 * act on many people, a form, a bundle, a shared notice, links of their own. In the database that the application is set to; what is there already stays.
 *   php bin/bench-core/many-things.php PERSON COURSE     (address of a learner, key of a course that they hold)
 * Prints what stands for the parts of addresses, as JSON.
 */

use App\Drafts\EditDraft;
use App\Drafts\Edits\SetCourse;
use App\Models\ActRecord;
use App\Models\Bundle;
use App\Models\Course;
use App\Models\Draft;
use App\Models\Form;
use App\Models\Import;
use App\Models\Offer;
use App\Models\Person;
use App\School\Tokens\Ability;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Contracts\Http\Kernel as HttpKernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

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
if (ActRecord::query()->doesntExist()) {
    $act = json_encode(['do' => 'label', 'people' => Person::query()->whereNull('role')->orderBy('id')->limit(500)->pluck('id')->all(), 'label' => 'spring'], JSON_THROW_ON_ERROR);
    $answer = $app->make(HttpKernel::class)->handle(Request::create('/api/v1/people/acts', 'POST', server: ['HTTP_AUTHORIZATION' => "Bearer {$token}", 'CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], content: $act));
    $answer->getStatusCode() === 201 || throw new RuntimeException((string) $answer->getContent());
}
if (Form::query()->doesntExist()) {
    Form::query()->create(['name' => 'Ask us', 'token' => str_repeat('f', 20), 'text' => 'Ask.', 'questions' => [['ask' => 'What for?', 'required' => true]], 'thanks' => 'Thank you.']);
}
if (Bundle::query()->doesntExist()) {
    Bundle::query()->create(['key' => 'both', 'name' => 'Two at once', 'price' => 9000])->offers()->attach(Offer::query()->orderBy('id')->limit(2)->pluck('id')->all());
}
$person->calendar_token === null && $person->update(['calendar_token' => str_repeat('c', 40)]);
$course->guest_token === null && $course->update(['guest_token' => str_repeat('9', 32)]);
DB::table('shared_notices')->insertOrIgnore(['name' => 'At the door', 'live' => json_encode(['heading' => 'Closed', 'titled' => true, 'text' => 'Not yet.', 'parts' => '[]']), 'published_at' => gmdate('Y-m-d H:i:s')]);
$learner = Person::query()->whereNull('role')->whereKeyNot($person->id)->orderBy('id')->firstOrFail();
DB::table('observer_ties')->insertOrIgnore(['observer_id' => $person->id, 'learner_id' => $learner->id]);

echo json_encode([
    'token' => $token, 'import' => Import::query()->max('id'), 'act' => ActRecord::query()->max('id'), 'form' => Form::query()->max('id'), 'form token' => Form::query()->value('token'), 'bundle' => Bundle::query()->value('key'),
    'shared' => DB::table('shared_notices')->max('id'), 'calendar' => $person->refresh()->calendar_token, 'guest' => $course->refresh()->guest_token, 'learner' => $learner->id,
], JSON_THROW_ON_ERROR)."\n";
