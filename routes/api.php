<?php

declare(strict_types=1);

use App\Http\Api\Controllers;
use App\School\Tokens\Ability;
use Illuminate\Support\Facades\Route;

/*
 * What systems of others may ask. The name of a route is the name of its operation in the document that describes the interface, and
 * of its example; its ability is asked of the token before anything is looked up.
 */
$may = static fn (Ability $ability): array => ['auth:sanctum', 'throttle:api', "may:{$ability->value}"];

Route::name('api.')->group(function () use ($may): void {
    Route::middleware($may(Ability::Decide))->group(function (): void {
        Route::get('/decisions', [Controllers\DecisionsController::class, 'one'])->name('decisions.one');
        Route::post('/decisions', [Controllers\DecisionsController::class, 'many'])->middleware('throttle:api-many')->name('decisions.many');
    });
});
