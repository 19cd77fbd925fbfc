<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Http\Requests\ImportRequest;
use App\Http\Requests\NewPersonRequest;
use App\Models\Import;
use App\Models\Person;
use App\Pages\People\Import\ImportPageBuilder;
use App\People\Acts\CannotAct;
use App\People\Acts\PeopleActs;
use App\People\Import\ContinueReading;
use App\People\Import\ImportPeople;
use App\People\Import\NotReadable;
use App\People\Import\ReadPeopleFile;
use App\People\Import\RosterPeople;
use App\People\MakePerson;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

final readonly class ImportController
{
    public function __construct(private ImportPageBuilder $desk, private ReadPeopleFile $read, private ImportPeople $bring)
    {
    }

    public function index(): Response
    {
        return Inertia::render('keep/BringIn', get_object_vars($this->desk->page()));
    }

    /** One by hand. */
    public function one(NewPersonRequest $request, MakePerson $make, PeopleActs $acts): RedirectResponse
    {
        $author = self::author($request);
        try {
            $gives = $request->filled('offer') ? $acts->of(['do' => 'give', 'offer' => $request->input('offer'), 'from' => $request->input('from')], $author) : null;
            $person = $make($request->string('name')->trim()->toString(), $request->string('email')->toString(), $request->labels(), $gives, $author);
        } catch (CannotAct $e) {
            throw ValidationException::withMessages([$e->field ?? 'offer' => $e->getMessage()]);
        }

        return redirect()->route('keep.person', $person)->with('flash', ['kind' => 'done', 'text' => "{$person->name} is in, and was sent a link to sign in.", 'lines' => []]);
    }

    public function upload(ImportRequest $request): RedirectResponse
    {
        $file = $request->file('file');
        assert($file instanceof UploadedFile);
        $path = $file->storeAs('imports', bin2hex(random_bytes(12)));
        $kind = str_starts_with((string) file_get_contents($file->getRealPath(), length: 4), "PK\x03\x04") ? 'oneroster' : 'csv';
        try {
            if ($kind === 'oneroster') {
                RosterPeople::classes(Storage::path((string) $path));
            }
        } catch (NotReadable $e) {
            Storage::delete((string) $path);
            throw ValidationException::withMessages(['file' => $e->getMessage()]);
        }
        $import = $this->read->begin($kind, $file->getClientOriginalName(), (string) $path, [], self::author($request));

        return redirect()->route('keep.import', $import->id);
    }

    public function show(Import $import): Response
    {
        return Inertia::render('keep/Import', get_object_vars($this->desk->import($import)));
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

        return new JsonResponse($this->desk->progress($import->refresh()));
    }

    public function progress(Import $import): JsonResponse
    {
        return new JsonResponse($this->desk->progress($import));
    }

    public function bringIn(Import $import): RedirectResponse
    {
        try {
            ($this->bring)($import);
        } catch (NotReadable $e) {
            return back()->with('flash', ['kind' => 'refused', 'text' => $e->getMessage(), 'lines' => []]);
        }

        return redirect()->route('keep.import', $import->id);
    }

    private static function author(Request $request): Person
    {
        $person = $request->user();
        assert($person instanceof Person);

        return $person;
    }
}
