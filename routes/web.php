<?php

declare(strict_types=1);

use App\Http\Controllers\HomeController;
use App\Http\Controllers\Keep;
use App\Http\Controllers\Learner;
use App\Http\Controllers\SignInController;
use App\Http\Controllers\SignInLinkController;
use Illuminate\Support\Facades\Route;

Route::get('/', HomeController::class)->name('home');

Route::get('/sign-in', [SignInController::class, 'create'])->middleware('guest')->name('sign-in');
Route::post('/sign-in', [SignInController::class, 'store'])->middleware('guest');
Route::get('/sign-in/link/{token}', [SignInLinkController::class, 'show'])->name('sign-in.link');
Route::post('/sign-in/link/{token}', [SignInLinkController::class, 'redeem'])->middleware('throttle:20,1');
Route::post('/sign-in/link', [SignInLinkController::class, 'send'])->middleware('throttle:5,1')->name('sign-in.send');
Route::post('/sign-out', [SignInController::class, 'destroy'])->middleware('auth')->name('sign-out');

Route::prefix('keep')->middleware(['auth', 'can:see-all'])->name('keep.')->group(function (): void {
    Route::get('/courses', [Keep\CoursesController::class, 'index'])->name('courses');
    Route::get('/courses/{course}', [Keep\CoursesController::class, 'show'])->name('course');
    Route::post('/courses', [Keep\CoursesController::class, 'store'])->name('courses.make');
    Route::post('/courses/plan-file', [Keep\CoursesController::class, 'storeFile'])->name('courses.from-file');
    Route::get('/courses/{course}/sightlines', [Keep\SightsController::class, 'overTime'])->name('sightlines');
    Route::get('/courses/{course}/why', [Keep\SightsController::class, 'why'])->name('why');
    Route::post('/courses/{course}/draft/dates', [Keep\SightsController::class, 'dates'])->name('draft.dates');
    Route::post('/courses/{course}/draft/mends', [Keep\DraftController::class, 'mend'])->name('draft.mend');
    Route::post('/courses/{course}/expectations', [Keep\SightsController::class, 'expect'])->name('expectations.keep');
    Route::delete('/courses/{course}/expectations/{expectation}', [Keep\SightsController::class, 'letGo'])->whereNumber('expectation')->name('expectations.let-go');
    Route::get('/courses/{course}/calendar.ics', [Keep\SightsController::class, 'calendar'])->name('calendar');
    Route::get('/courses/{course}/sightlines.csv', [Keep\SightsController::class, 'csv'])->name('sightlines.csv');
    Route::get('/courses/{course}/stand-in', [Keep\StandInController::class, 'show'])->name('stand-in');
    Route::get('/courses/{course}/stand-in/view/{item?}', [Keep\StandInController::class, 'view'])->name('stand-in.view');
    Route::get('/courses/{course}/people', [Keep\SightsController::class, 'people'])->name('people');
    Route::post('/courses/{course}/vantages', [Keep\SightsController::class, 'save'])->name('vantages.save');
    Route::delete('/courses/{course}/vantages/{set}', [Keep\SightsController::class, 'forget'])->whereNumber('set')->name('vantages.forget');
    Route::post('/courses/{course}/draft/outline', [Keep\DraftController::class, 'outline'])->name('draft.outline');
    Route::post('/courses/{course}/draft/course', [Keep\DraftController::class, 'course'])->name('draft.course');
    Route::post('/courses/{course}/draft/edits', [Keep\DraftController::class, 'edit'])->name('draft.edit');
    Route::get('/courses/{course}/draft/news', [Keep\DraftController::class, 'news'])->name('draft.news');
    Route::post('/courses/{course}/condition', [Keep\DraftController::class, 'condition'])->name('condition');
    Route::post('/courses/{course}/draft/plans', [Keep\DraftController::class, 'plans'])->name('draft.plans');
    Route::post('/courses/{course}/draft/undo', [Keep\DraftController::class, 'undo'])->name('draft.undo');
    Route::post('/courses/{course}/draft/redo', [Keep\DraftController::class, 'redo'])->name('draft.redo');
    Route::delete('/courses/{course}/draft', [Keep\DraftController::class, 'discard'])->name('draft.discard');
    Route::get('/courses/{course}/rehearsal', [Keep\RevisionsController::class, 'rehearse'])->name('rehearsal');
    Route::post('/courses/{course}/rehearsal', [Keep\RevisionsController::class, 'goOn'])->name('rehearsal.go-on');
    Route::put('/courses/{course}/publication', [Keep\RevisionsController::class, 'setTime'])->name('publication.set');
    Route::delete('/courses/{course}/publication', [Keep\RevisionsController::class, 'unsetTime'])->name('publication.unset');
    Route::get('/courses/{course}/plan.json', [Keep\RevisionsController::class, 'file'])->name('plan-file');
    Route::get('/courses/{course}/revisions', [Keep\RevisionsController::class, 'index'])->name('history');
    Route::post('/courses/{course}/revisions/live', [Keep\RevisionsController::class, 'takeBack'])->name('take-back');
    Route::post('/courses/{course}/revisions', [Keep\DraftController::class, 'publish'])->name('publish');
    Route::post('/courses/{course}/guest-link', [Keep\DraftController::class, 'guestLink'])->name('guest-link');
    Route::get('/offers', [Keep\OffersController::class, 'index'])->name('offers');
    Route::put('/offers/{offer}', [Keep\OffersController::class, 'sell'])->whereNumber('offer')->name('offers.sell');
    Route::delete('/offers/{offer}', [Keep\OffersController::class, 'drop'])->whereNumber('offer')->name('offers.drop');
    Route::post('/courses/{course}/draft/offers', [Keep\OffersController::class, 'access'])->name('draft.offers');
    Route::post('/courses/{course}/trial', [Keep\OffersController::class, 'trial'])->name('trial');
    Route::get('/school', [Keep\SchoolController::class, 'show'])->name('school');
    Route::put('/school', [Keep\SchoolController::class, 'save'])->name('school.save');
    Route::get('/outbox', Keep\OutboxController::class)->middleware('can:run-school')->name('outbox');
    Route::get('/people', [Keep\PeopleController::class, 'index'])->name('people.list');
    Route::middleware('can:run-school')->group(function (): void {
        Route::get('/people/bring-in', [Keep\BringInController::class, 'index'])->name('bring-in');
        Route::post('/people', [Keep\BringInController::class, 'one'])->name('people.make');
        Route::post('/people/imports', [Keep\BringInController::class, 'upload'])->name('imports.upload');
        Route::get('/people/imports/{import}', [Keep\BringInController::class, 'show'])->whereNumber('import')->name('import');
        Route::get('/people/imports/{import}/progress', [Keep\BringInController::class, 'progress'])->whereNumber('import')->name('import.progress');
        Route::post('/people/imports/{import}/read', [Keep\BringInController::class, 'read'])->whereNumber('import')->name('import.read');
        Route::post('/people/imports/{import}', [Keep\BringInController::class, 'bringIn'])->whereNumber('import')->name('import.bring-in');
    });
    Route::get('/people/find', [Keep\PeopleController::class, 'find'])->name('people.find');
    Route::get('/people.csv', [Keep\PeopleController::class, 'csv'])->name('people.csv');
    Route::post('/people/preview', [Keep\PeopleController::class, 'preview'])->name('people.preview');
    Route::post('/people/acts', [Keep\PeopleController::class, 'perform'])->name('people.act');
    Route::post('/people/acts/{act}/undo', [Keep\PeopleController::class, 'undo'])->whereNumber('act')->name('people.undo');
    Route::post('/people/segments', [Keep\PeopleController::class, 'saveSegment'])->name('segments.save');
    Route::delete('/people/segments/{segment}', [Keep\PeopleController::class, 'forgetSegment'])->whereNumber('segment')->name('segments.forget');
    Route::get('/people/{person}', [Keep\PeopleController::class, 'show'])->whereNumber('person')->name('person');
});

Route::get('/g/{token}', [Learner\GuestController::class, 'show'])->where('token', '[a-f0-9]{32}')->name('guest');
Route::post('/g/{token}', [Learner\GuestController::class, 'enter'])->where('token', '[a-f0-9]{32}')->middleware('throttle:10,1')->name('guest.enter');
Route::post('/courses/{course}/leave', [Learner\GuestController::class, 'leave'])->name('guest.leave');
Route::get('/checkout/{offer}', [Learner\CheckoutController::class, 'show'])->name('checkout');
Route::post('/checkout/{offer}', [Learner\CheckoutController::class, 'buy'])->middleware('throttle:20,1')->name('checkout.buy');
Route::post('/look-with', [Learner\CoursesController::class, 'lookWith'])->middleware('auth')->name('look-with');
Route::get('/courses', [Learner\CoursesController::class, 'index'])->middleware('auth')->name('courses');
Route::get('/courses/{course}', [Learner\CoursesController::class, 'show'])->name('course');
Route::get('/courses/{course}/{item}', [Learner\LessonController::class, 'show'])->name('lesson');
Route::post('/courses/{course}/{item}/look', [Learner\CheckoutController::class, 'look'])->middleware('throttle:10,1')->name('lesson.look');
Route::post('/courses/{course}/{item}/finished', [Learner\LessonController::class, 'finish'])->name('lesson.finish');
