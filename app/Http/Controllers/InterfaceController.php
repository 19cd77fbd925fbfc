<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api\Reading\Schemas;
use App\Ledger\Proof\Seal;
use Illuminate\Http\JsonResponse;
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
        return self::file($request, Schemas::file(), 'application/json');
    }

    /** The public key with which anybody verifies what the school has signed. */
    public function storyKey(): JsonResponse
    {
        return new JsonResponse(['keys' => [Seal::publicKey()]], 200, ['Content-Type' => 'application/jwk-set+json']);
    }

    /** What plan documents look like. */
    public function planSchema(Request $request): TextResponse
    {
        return self::file($request, base_path('docs/formats/plan.schema.json'), 'application/schema+json');
    }

    /** A client in one file, generated from the document. */
    public function client(Request $request, string $language): TextResponse
    {
        return self::file($request, resource_path("api/client.{$language}"), 'text/plain; charset=utf-8');
    }

    private static function file(Request $request, string $file, string $type): TextResponse
    {
        $document = (string) file_get_contents($file);
        $response = new TextResponse($document, 200, ['Content-Type' => $type, 'Cache-Control' => 'max-age=300, public']);
        $response->setEtag(hash('xxh128', $document))->isNotModified($request);

        return $response;
    }
}
