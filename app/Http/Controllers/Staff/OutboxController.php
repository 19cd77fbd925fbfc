<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Pages\School\OutboxPageBuilder;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** What the stand-in for mail has sent. */
final readonly class OutboxController
{
    public function __invoke(Request $request, OutboxPageBuilder $outbox): Response
    {
        return Inertia::render('keep/Outbox', get_object_vars($outbox->page(max(1, $request->integer('page', 1)))));
    }
}
