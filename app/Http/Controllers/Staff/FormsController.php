<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\WhoLooks;
use App\Http\CsvAnswer;
use App\Http\Requests\SchoolFormRequest;
use App\Models\Form;
use App\Pages\Shared\Flash;
use App\Pages\Triggers\FormsPageBuilder;
use App\Triggers\Forms\SaveForm;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Small public forms, and what was answered. */
final readonly class FormsController
{
    public function __construct(private FormsPageBuilder $pages, private SaveForm $save)
    {
    }

    public function index(Request $request): Response
    {
        $open = $request->query('open');

        return Inertia::render('keep/Forms', get_object_vars($this->pages->page(is_numeric($open) ? Form::query()->find((int) $open) : null, Gate::allows('run-school'))));
    }

    public function store(SchoolFormRequest $request): RedirectResponse
    {
        $form = $this->save->make($request->fields(), WhoLooks::signedIn($request));

        return redirect()->route('keep.forms', ['open' => $form->id])->with(Flash::done(Say::text('told.forms_controller.made')));
    }

    public function update(SchoolFormRequest $request, Form $form): RedirectResponse
    {
        return back()->with($this->save->change($form, $request->fields(), $request->integer('version'), WhoLooks::signedIn($request)) ? Flash::done(Say::text('told.forms_controller.changed')) : Flash::meanwhile(Say::text('told.forms_controller.this_form')));
    }

    public function csv(Request $request, Form $form): StreamedResponse
    {
        Gate::authorize('run-school');

        return CsvAnswer::of($this->pages->csv($form), "form-{$form->id}.csv", marked: true, form: WhoLooks::signedIn($request)->csv_form);
    }
}
