<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\WhoLooks;
use App\Files\LocalCopies;
use App\Http\CsvAnswer;
use App\Http\Requests\ImportRequest;
use App\Models\Import;
use App\Pages\People\Import\ImportPageBuilder;
use App\Pages\Shared\Flash;
use App\People\Import\Back\TakeImportBack;
use App\People\Import\ContinueReading;
use App\People\Import\FileKind;
use App\People\Import\ImportPeople;
use App\People\Import\NotReadable;
use App\People\Import\ReadPeopleFile;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

final readonly class ImportController
{
    public function __construct(private ImportPageBuilder $pages, private ReadPeopleFile $read, private ImportPeople $bring, private LocalCopies $files)
    {
    }

    public function index(): Response
    {
        return Inertia::render('keep/BringIn', get_object_vars($this->pages->page()));
    }

    public function store(ImportRequest $request): RedirectResponse
    {
        $file = $request->file('file');
        assert($file instanceof UploadedFile);
        $path = $file->storeAs('imports', bin2hex(random_bytes(12)));
        try {
            $kind = FileKind::of($this->files->path((string) $path));
        } catch (NotReadable $e) {
            Storage::delete((string) $path);
            throw ValidationException::withMessages(['file' => $e->getMessage()]);
        }
        $import = $this->read->begin($kind, $file->getClientOriginalName(), (string) $path, [], WhoLooks::signedIn($request));

        return redirect()->route('keep.import', $import->id);
    }

    public function show(Import $import): Response
    {
        return Inertia::render('keep/Import', get_object_vars($this->pages->import($import)));
    }

    /** Has it read from the beginning, with what was said of its columns. */
    public function read(Request $request, Import $import): JsonResponse
    {
        $options = $request->input('options');
        try {
            $this->read->from($import, is_array($options) ? $options : []);
        } catch (NotReadable $e) {
            return new JsonResponse(['message' => $e->getMessage()], 422);
        }
        ContinueReading::dispatch($import->id);

        return new JsonResponse($this->pages->progress($import->refresh()));
    }

    public function progress(Import $import): JsonResponse
    {
        return new JsonResponse($this->pages->progress($import));
    }

    /** The rows that cannot be brought in, to be put right and chosen again. */
    public function refused(Request $request, Import $import): StreamedResponse
    {
        abort_if($import->kind !== 'csv' || $import->path === '' || ! Storage::exists($import->path), 404);

        return CsvAnswer::of($this->read->refused($import), 'refused.csv', marked: true, form: WhoLooks::signedIn($request)->csv_form);
    }

    public function update(Import $import): RedirectResponse
    {
        try {
            ($this->bring)($import);
        } catch (NotReadable $e) {
            return back()->with(Flash::refused($e->getMessage()));
        }

        return redirect()->route('keep.import', $import->id);
    }

    /** What would come of taking it back. Nothing is changed. */
    public function back(Import $import): JsonResponse
    {
        abort_unless(TakeImportBack::isPossible($import), 404);

        return new JsonResponse($this->pages->back($import));
    }

    public function destroy(Request $request, Import $import, TakeImportBack $takeBack): RedirectResponse
    {
        try {
            $takeBack($import, WhoLooks::signedIn($request));
        } catch (NotReadable $e) {
            return back()->with(Flash::refused($e->getMessage()));
        }

        return redirect()->route('keep.import', $import->id);
    }
}
