<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\WhoLooks;
use App\Drafts\DiscardDraft;
use App\Drafts\DraftCollision;
use App\Drafts\DraftConflict;
use App\Drafts\EditDraft;
use App\Drafts\Edits\CannotEdit;
use App\Drafts\Edits\Edit;
use App\Drafts\Edits\PasteRules;
use App\Drafts\GivenUp\BringBackGivenUp;
use App\Drafts\Outline\DeleteItems;
use App\Drafts\Outline\DuplicateItem;
use App\Drafts\Outline\MoveItem;
use App\Drafts\Outline\PlaceItems;
use App\Drafts\RedoDraftEdit;
use App\Drafts\UndoDraftEdit;
use App\Http\Requests\ConditionInput;
use App\Http\Requests\DraftRequest;
use App\Http\Requests\EditCourseRequest;
use App\Http\Requests\EditOutlineRequest;
use App\Http\Requests\EditPlansRequest;
use App\Http\Requests\EditRulesRequest;
use App\Http\Requests\FixRequest;
use App\Models\Course;
use App\Pages\Shared\Flash;
use App\Pages\Workspace\ConditionWords;
use App\Pages\Workspace\WorkspacePageBuilder;
use App\Sightlines\Why\ApplyFixes;
use App\Words\Say;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use SilentKeep\Core\Format\InvalidPlan;
use SilentKeep\Core\Format\Offence;

final readonly class DraftController
{
    public function __construct(private EditDraft $edit)
    {
    }

    public function rules(EditRulesRequest $request, Course $course): RedirectResponse
    {
        return $this->make($request, $course, $request->edit());
    }

    public function outline(EditOutlineRequest $request, Course $course, WorkspacePageBuilder $pages): RedirectResponse
    {
        $edit = $request->edit();
        if ($edit instanceof DeleteItems && ! $request->boolean('meant')) {
            $dependents = $pages->dependents($course, $edit);
            if ($dependents !== []) {
                // Named first; asked for again with `meant`, it is done.
                return back()->with(Flash::asks(Say::text('told.draft_controller.something_speaks_what_you'), $dependents));
            }
        }

        return $this->make($request, $course, $edit);
    }

    public function course(EditCourseRequest $request, Course $course): RedirectResponse
    {
        return $this->make($request, $course, $request->edit());
    }

    public function plans(EditPlansRequest $request, Course $course): RedirectResponse
    {
        return $this->make($request, $course, $request->edit());
    }

    /** What the reasons of a cell proposed. */
    public function fix(FixRequest $request, Course $course): RedirectResponse
    {
        return $this->make($request, $course, $request->edit());
    }

    private function make(FormRequest $request, Course $course, Edit $change): RedirectResponse
    {
        try {
            $made = ($this->edit)($course, $request->integer('version'), $change, WhoLooks::signedIn($request));
        } catch (InvalidPlan $e) {
            if ($change instanceof MoveItem || $change instanceof PlaceItems || $change instanceof PasteRules || $change instanceof DuplicateItem || $change instanceof DeleteItems || $change instanceof ApplyFixes) {
                // There is no form with fields to say it at.
                return self::refused(Say::text('told.draft_controller.that_does_not_go', ['message' => $e->offences[0]->message]));
            }
            throw ValidationException::withMessages(self::messages($e, $change->pointer()));
        } catch (DraftCollision $e) {
            return back()->with(Flash::collision($e->getMessage(), $e->theirs, $e->mine));
        } catch (CannotEdit $e) {
            if ($e->field !== null) {
                throw ValidationException::withMessages([$e->field => $e->getMessage()]);
            }

            return self::refused($e->getMessage());
        } catch (DraftConflict $e) {
            return self::refused($e->getMessage());
        }

        return $made->meanwhile === [] ? back() : back()->with(Flash::done(Say::text('told.draft_controller.who_has_edited_draft', ['who' => (string) $made->who]), $made->meanwhile));
    }

    /** What happened to the draft since a version, for those who have it open. */
    public function news(Request $request, Course $course, WorkspacePageBuilder $pages): JsonResponse
    {
        return new JsonResponse($pages->news($course, $request->integer('since'), WhoLooks::signedIn($request)));
    }

    /** Reads a condition back while it is being built. Nothing is saved. */
    public function condition(Request $request, Course $course, WorkspacePageBuilder $pages): JsonResponse
    {
        $only = ConditionInput::read($request->input('only'));
        $read = $pages->conditionWords($course, $only);

        return new JsonResponse(new ConditionWords($read->words, $read->errors + ConditionInput::emptyLabels($only)));
    }

    public function undo(DraftRequest $request, Course $course, UndoDraftEdit $undo): RedirectResponse
    {
        try {
            $undo($course, $request->version(), WhoLooks::signedIn($request));
        } catch (DraftConflict $e) {
            return self::refused($e->getMessage());
        }

        return back();
    }

    public function redo(DraftRequest $request, Course $course, RedoDraftEdit $redo): RedirectResponse
    {
        try {
            $redo($course, $request->version(), WhoLooks::signedIn($request));
        } catch (DraftConflict $e) {
            return self::refused($e->getMessage());
        }

        return back();
    }

    public function destroy(DraftRequest $request, Course $course, DiscardDraft $discard): RedirectResponse
    {
        try {
            $kept = $discard($course, $request->version(), WhoLooks::signedIn($request));
        } catch (DraftConflict $e) {
            return self::refused($e->getMessage());
        }

        $again = $kept === null ? null : route('keep.draft.bring-back', ['course' => $course, 'givenUp' => $kept, 'version' => $course->draft()->value('version') ?? 0], absolute: false);

        // Of a draft that is gone there is no rehearsal to go back to.
        return redirect()->route('keep.course', $course)->with(Flash::done(Say::text('told.draft_controller.draft_gone_what_live'), again: $again));
    }

    /** What was given up is the draft again. */
    public function bringBack(DraftRequest $request, Course $course, int $givenUp, BringBackGivenUp $again): RedirectResponse
    {
        try {
            $again($course, $givenUp, $request->version(), WhoLooks::signedIn($request));
        } catch (DraftCollision $e) {
            return back()->with(Flash::collision($e->getMessage(), $e->theirs, $e->mine));
        } catch (InvalidPlan $e) {
            return self::refused(Say::text('told.draft_controller.that_does_not_go', ['message' => $e->offences[0]->message]));
        } catch (CannotEdit|DraftConflict $e) {
            return self::refused($e->getMessage());
        }

        return redirect()->route('keep.course', $course)->with(Flash::done(Say::text('told.draft_controller.brought_back')));
    }

    private static function refused(string $message): RedirectResponse
    {
        return back()->with(Flash::refused($message));
    }

    /** @return array<string, string> by the form's field */
    private static function messages(InvalidPlan $refusal, string $pointer): array
    {
        $messages = [];
        foreach ($refusal->offences as $offence) {
            if (preg_match('#/only(/.+)?$#D', $offence->pointer, $found) === 1) {
                // At the very part of the condition.
                $messages['only'.str_replace('/', '.', $found[1] ?? '')] ??= self::sentence($offence);

                continue;
            }
            $field = str_starts_with($offence->pointer, $pointer.'/') ? substr($offence->pointer, strlen($pointer) + 1) : '';
            // What no field of the form stands for is said of the form as a whole.
            $messages[$field === '' || str_contains($field, '/') ? 'rule' : $field] ??= self::sentence($offence);
        }

        return $messages;
    }

    private static function sentence(Offence $offence): string
    {
        return Say::text('told.draft_controller.this_message', ['message' => $offence->message]);
    }
}
