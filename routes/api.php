<?php

declare(strict_types=1);

use App\Http\Api\Controllers;
use App\Http\Api\Middleware\OnceByKey;
use App\School\Tokens\Ability;
use Illuminate\Support\Facades\Route;

/*
 * What systems of others may ask. The name of a route is the name of its operation in the document that describes the interface, and
 * of its example; its ability is asked of the token before anything is looked up.
 */
$number = '[0-9]{1,9}';

$may = static fn (Ability $ability): array => ['auth:sanctum', 'throttle:api', "may:{$ability->value}"];

Route::name('api.')->group(function () use ($may): void {
    Route::get('/token', [Controllers\TokenController::class, 'show'])->middleware(['auth:sanctum', 'throttle:api'])->name('token.show');
    Route::middleware($may(Ability::Decide))->group(function (): void {
        Route::get('/decisions', [Controllers\DecisionsController::class, 'one'])->name('decisions.one');
        Route::post('/decisions', [Controllers\DecisionsController::class, 'many'])->middleware('throttle:api-many')->name('decisions.many');
        Route::get('/decisions/past', [Controllers\PastController::class, 'show'])->name('decisions.past');
        Route::get('/courses/{course}/sightlines', [Controllers\SightlinesController::class, 'show'])->name('courses.sightlines');
        Route::get('/courses/{course}/calendar.ics', [Controllers\FormatsController::class, 'calendar'])->name('formats.calendar');
        Route::get('/courses/{course}/sightlines.csv', [Controllers\FormatsController::class, 'sightlines'])->name('formats.sightlines');
    });
    Route::middleware($may(Ability::ReadCourses))->group(function (): void {
        Route::get('/courses', [Controllers\CoursesController::class, 'index'])->name('courses.list');
        Route::get('/courses/{course}', [Controllers\CoursesController::class, 'show'])->name('courses.one');
        Route::get('/courses/{course}/plan', [Controllers\CoursesController::class, 'plan'])->name('courses.plan');
        Route::get('/courses/{course}/revisions', [Controllers\CoursesController::class, 'revisions'])->name('courses.revisions');
        Route::get('/courses/{course}/draft', [Controllers\DraftsController::class, 'show'])->name('courses.draft');
        Route::get('/courses/{course}/rehearsal', [Controllers\DraftsController::class, 'rehearse'])->name('courses.rehearse');
        Route::post('/plans/check', [Controllers\CoursesController::class, 'check'])->name('courses.check');
    });
    Route::middleware($may(Ability::EditDrafts))->group(function (): void {
        Route::post('/courses', [Controllers\CoursesController::class, 'store'])->middleware(OnceByKey::class)->name('courses.make');
        Route::post('/cartridges', [Controllers\CartridgesController::class, 'store'])->middleware(OnceByKey::class)->name('formats.cartridge');
        Route::put('/courses/{course}/draft', [Controllers\DraftsController::class, 'update'])->name('courses.put-draft');
        Route::delete('/courses/{course}/draft', [Controllers\DraftsController::class, 'destroy'])->name('courses.discard-draft');
    });
    Route::post('/courses/{course}/publications', [Controllers\DraftsController::class, 'publish'])->middleware([...$may(Ability::Publish), OnceByKey::class])->name('courses.publish');
});

Route::name('api.')->group(function () use ($may, $number): void {
    Route::middleware($may(Ability::ReadPeople))->group(function () use ($number): void {
        Route::get('/people', [Controllers\PeopleController::class, 'index'])->name('people.list');
        Route::get('/people/{person}', [Controllers\PeopleController::class, 'show'])->where('person', $number)->name('people.one');
        Route::get('/courses/{course}/changes', [Controllers\PastController::class, 'changes'])->name('courses.changes');
        Route::get('/people.csv', [Controllers\PeopleFilesController::class, 'csv'])->name('formats.people');
        Route::post('/people/files', [Controllers\PeopleFilesController::class, 'store'])->middleware(OnceByKey::class)->name('formats.people-ask');
        Route::get('/people/files/{file}', [Controllers\PeopleFilesController::class, 'show'])->where('file', $number)->name('formats.people-progress');
        Route::get('/people/files/{file}.csv', [Controllers\PeopleFilesController::class, 'content'])->where('file', $number)->name('formats.people-file');
    });
    Route::post('/people/{person}/erasure', [Controllers\PeopleController::class, 'erase'])->where('person', $number)->middleware([...$may(Ability::ErasePeople), OnceByKey::class])->name('people.erase');
    Route::middleware($may(Ability::ChangePeople))->group(function () use ($number): void {
        Route::post('/people', [Controllers\PeopleController::class, 'store'])->middleware(OnceByKey::class)->name('people.make');
        Route::post('/people/acts', [Controllers\ActsController::class, 'store'])->middleware(OnceByKey::class)->name('people.act');
        Route::post('/people/acts/preview', [Controllers\ActsController::class, 'preview'])->name('people.preview');
        Route::delete('/people/acts/{act}', [Controllers\ActsController::class, 'destroy'])->where('act', $number)->name('people.undo');
        Route::post('/imports', [Controllers\ImportsController::class, 'store'])->middleware(OnceByKey::class)->name('formats.import');
        Route::get('/imports/{import}', [Controllers\ImportsController::class, 'show'])->where('import', $number)->name('formats.import-progress');
        Route::post('/imports/{import}/people', [Controllers\ImportsController::class, 'update'])->where('import', $number)->name('formats.bring-in');
        Route::delete('/imports/{import}', [Controllers\ImportsController::class, 'destroy'])->where('import', $number)->name('formats.take-back');
    });
});

Route::name('api.')->group(function () use ($may, $number): void {
    Route::get('/xapi/about', [Controllers\StatementsController::class, 'about'])->middleware('throttle:api')->name('progress.about');
    Route::middleware($may(Ability::RecordProgress))->group(function (): void {
        Route::get('/xapi/statements', [Controllers\StatementsController::class, 'show'])->name('progress.one');
        Route::post('/xapi/statements', [Controllers\StatementsController::class, 'store'])->name('progress.take');
        Route::put('/xapi/statements', [Controllers\StatementsController::class, 'update'])->name('progress.put');
    });
    Route::post('/events', [Controllers\EventsController::class, 'store'])->middleware('throttle:api')->name('events.take');
    Route::get('/events', [Controllers\EventsController::class, 'index'])->middleware($may(Ability::ReadEvents))->name('events.list');
    Route::post('/events/{event}/replay', [Controllers\EventsController::class, 'replay'])->where('event', $number)->middleware($may(Ability::ReplayEvents))->name('events.replay');
});
