<?php

declare(strict_types=1);

namespace App\Http\Api\Controllers;

use App\Access\WhoLooks;
use App\Http\Api\Document\Operation;
use App\Http\Api\Problems\Problem;
use App\Http\Api\Problems\ProblemKind;
use App\Http\Api\Reading\Asked;
use App\Http\Api\Reading\Parameter;
use App\Http\CsvAnswer;
use App\Models\PeopleFile;
use App\Pages\Api\Formats\PeopleFileTold;
use App\Pages\Api\Formats\TextFile;
use App\Pages\People\Lists\PeopleFiles;
use App\People\PeopleFilter;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** People as files that others read. */
final readonly class PeopleFilesController
{
    public function __construct(private PeopleFiles $files)
    {
    }

    #[Operation('People, as CSV', answers: TextFile::class, type: 'text/csv', says: 'Of at most 2,000. A file of more is made in the queue: ask for it at `/people/files`.', problems: [ProblemKind::TooMuch])]
    #[Parameter('find', 'A part of name or address.')]
    #[Parameter('holds', 'Key of an offer: those with an active pass by it.')]
    #[Parameter('label', 'Those who have it now.')]
    public function csv(Request $request): StreamedResponse
    {
        $rows = $this->files->atOnce(self::filter(Asked::of($request)));

        return $rows === null ? throw new Problem(ProblemKind::TooMuch, Say::text('interface.people_file.too_many', ['most' => PeopleFiles::AT_ONCE])) : CsvAnswer::of($rows, 'people.csv');
    }

    #[Operation('Has a file made of people', answers: PeopleFileTold::class, status: 202, says: 'As CSV, in the queue, of however many: those whom the parameters let through now, each as they are when their line is made. Asked for again while it is made, it is that one. It is kept for a day, the last five of each who asks.', headers: ['Location'])]
    #[Parameter('find', 'A part of name or address.')]
    #[Parameter('holds', 'Key of an offer: those with an active pass by it.')]
    #[Parameter('label', 'Those who have it now.')]
    public function store(Request $request): JsonResponse
    {
        $filter = self::filter(Asked::of($request));
        $file = $this->files->ask($filter, http_build_query(['find' => $filter->find, 'holds' => $filter->holds, 'label' => $filter->label]), WhoLooks::signedIn($request), listed: false);

        return new JsonResponse(PeopleFileTold::of($file), 202, ['Location' => "/api/v1/people/files/{$file->id}"]);
    }

    #[Operation('How far a file of people has come', answers: PeopleFileTold::class)]
    public function show(Request $request, PeopleFile $file): JsonResponse
    {
        self::allow($request, $file);

        return new JsonResponse(PeopleFileTold::of($file), 200, ['Cache-Control' => 'no-store, private', ...($file->state === 'making' ? ['Retry-After' => '2'] : [])]);
    }

    #[Operation('A file of people that is made', answers: TextFile::class, type: 'text/csv', problems: [ProblemKind::Collision])]
    public function content(Request $request, PeopleFile $file): StreamedResponse
    {
        self::allow($request, $file);
        if ($file->state !== 'ready') {
            throw new Problem(ProblemKind::Collision, Say::text("interface.people_file.{$file->state}"));
        }

        return CsvAnswer::made($this->files->content($file), $this->files->size($file), 'people.csv');
    }

    private static function filter(Asked $asked): PeopleFilter
    {
        return new PeopleFilter(find: $asked->text('find') ?? '', holds: $asked->text('holds'), label: $asked->text('label'));
    }

    /**
     * Whoever asked for it, and nobody else.
     *
     * @throws Problem
     */
    private static function allow(Request $request, PeopleFile $file): void
    {
        if ($file->person_id !== WhoLooks::signedIn($request)->id) {
            throw new Problem(ProblemKind::NotFound);
        }
    }
}
