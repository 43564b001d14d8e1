<?php

declare(strict_types=1);

namespace App\Bench\Stand;

use Closure;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\Http;

/** How a device speaks with Ustrel: by HTTP, with a token of its own. */
final readonly class DeviceLine
{
    /**
     * @param  string  $at  where Ustrel is, such as http://127.0.0.1:8630
     * @param  Closure(string): void  $say
     */
    public function __construct(
        private string $at,
        private string $token,
        private Closure $say,
    ) {
    }

    /**
     * @param  string  $lines  NDJSON
     * @return Response|null null where nobody answers
     */
    public function sent(string $path, string $lines): ?Response
    {
        try {
            return Http::baseUrl($this->at)->withToken($this->token)->acceptJson()->timeout(10)->withBody($lines, 'application/x-ndjson')->post("/api/{$path}");
        } catch (ConnectionException) {
            ($this->say)(__('stand_in.away'));

            return null;
        }
    }
}
