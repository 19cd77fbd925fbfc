<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\WhoLooks;
use App\Http\CsvAnswer;
use App\Http\Requests\PeopleRequest;
use App\Models\PeopleFile;
use App\Pages\People\Lists\PeopleFiles;
use App\Pages\Shared\Flash;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** People as files: those of a few at once, those of many made in the queue. */
final readonly class PeopleFilesController
{
    public function __construct(private PeopleFiles $files)
    {
    }

    public function csv(PeopleRequest $request): Response
    {
        $rows = $this->files->atOnce($request->filter());
        if ($rows === null) {
            return redirect()->route('keep.people.list', $request->asked())->with(Flash::refused(Say::text('told.people_files_controller.too_many', ['most' => PeopleFiles::AT_ONCE])));
        }

        return CsvAnswer::of($rows, 'people.csv', form: WhoLooks::signedIn($request)->csv_form);
    }

    /** Those of whoever asks, and how far they are. */
    public function index(Request $request): JsonResponse
    {
        return new JsonResponse($this->files->listed(WhoLooks::signedIn($request)), 200, ['Cache-Control' => 'no-store, private']);
    }

    public function store(PeopleRequest $request): RedirectResponse
    {
        $this->files->ask($request->filter(), http_build_query($request->asked()), WhoLooks::signedIn($request), listed: true);

        return back(fallback: route('keep.people.list', $request->asked()));
    }

    public function show(Request $request, PeopleFile $file): Response
    {
        self::allow($request, $file);
        abort_unless($file->state === 'ready', 404);

        return CsvAnswer::made($this->files->content($file), $this->files->size($file), 'people.csv');
    }

    public function destroy(Request $request, PeopleFile $file): RedirectResponse
    {
        self::allow($request, $file);
        $file->delete();

        return back();
    }

    /** Whoever asked for it, and nobody else. */
    private static function allow(Request $request, PeopleFile $file): void
    {
        abort_unless($file->person_id === WhoLooks::signedIn($request)->id, 404);
    }
}
