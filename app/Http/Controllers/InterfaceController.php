<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api\Reading\Schemas;
use Illuminate\Http\Request;
use Illuminate\Http\Response as TextResponse;
use Inertia\Inertia;
use Inertia\Response;

/** What describes the interface for systems of others: as a page to read, and as a document for programs. */
final readonly class InterfaceController
{
    public function show(): Response
    {
        return Inertia::render('Interface');
    }

    public function document(Request $request): TextResponse
    {
        $document = (string) file_get_contents(Schemas::file());
        $response = new TextResponse($document, 200, ['Content-Type' => 'application/json', 'Cache-Control' => 'max-age=300, public']);
        $response->setEtag(hash('xxh128', $document))->isNotModified($request);

        return $response;
    }
}
