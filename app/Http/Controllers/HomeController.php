<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Text;
use App\Models\Person;
use App\Pages\Learner\FrontPageBuilder;
use App\Pages\Learner\Shared\PublicPages;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

final class HomeController
{
    public function __invoke(Request $request, FrontPageBuilder $lists, PublicPages $public): Response
    {
        $person = $request->user();

        $page = $lists->front($person instanceof Person ? $person : null, Text::of($request, 'subject'), (int) Text::of($request, 'page'));

        return Inertia::render('learner/Front', get_object_vars($page))->withViewData('head', $public->front($page));
    }
}
