<?php

declare(strict_types=1);

namespace App\Contract;

use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Cache;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Symfony\Component\Yaml\Yaml;

/** The contract itself: for programs, and to be read. */
final class ApiDocs
{
    public function contract(): BinaryFileResponse
    {
        return new BinaryFileResponse(base_path('docs/openapi.yaml'), headers: ['Content-Type' => 'application/yaml']);
    }

    public function readable(): View
    {
        $file = base_path('docs/openapi.yaml');

        return view('api', ['contract' => Cache::rememberForever(
            'contract '.hash_file('xxh128', $file),
            fn (): array => Yaml::parseFile($file),
        )]);
    }

    /** Answers nothing while the session or token holds. */
    public function pulse(): Response
    {
        return new Response(status: 204);
    }

    public function nothing(): never
    {
        throw new NotFoundHttpException;
    }
}
