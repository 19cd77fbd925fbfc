<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Access\SchoolOf;
use App\Access\WhoLooks;
use App\Http\Middleware\TheirLanguage;
use App\Models\Language;
use App\Pages\Shared\Flash;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\App;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Validation\Rule;

/** In which language somebody reads: kept with their account, or on this machine as long as they have none. */
final readonly class LanguageController
{
    public function __construct(private SchoolOf $school)
    {
    }

    /** Minutes for which a machine remembers: a year. */
    private const REMEMBERED = 525_600;

    public function store(Request $request): RedirectResponse
    {
        $request->validate(['language' => ['nullable', Rule::enum(Language::class)]], ['language' => Say::text('learner.asked.language')]);
        $chosen = Language::tryFrom($request->string('language')->toString());
        $person = WhoLooks::person($request);
        if ($person !== null) {
            $person->update(['language' => $chosen]);
        }

        App::setLocale(($chosen ?? ($this->school)()->language)->value);

        return back()->with(Flash::done(Say::text('learner.account.language')))->withCookie($chosen === null ? Cookie::forget(TheirLanguage::COOKIE) : Cookie::make(TheirLanguage::COOKIE, $chosen->value, self::REMEMBERED));
    }
}
