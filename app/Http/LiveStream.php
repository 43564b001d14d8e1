<?php

declare(strict_types=1);

namespace App\Http;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Sleep;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * Server-sent events: what is there now, and again whenever it is something else. Each that is watched holds one of the server's hands,
 * so there are few, and none for long: the browser asks again by itself. Who finds none free is told so, and polls.
 */
final class LiveStream
{
    /** Of the six that php-fpm has. */
    private const MOST = 2;

    private const SECONDS = 25;

    private const LOOKS_MS = 500;

    /**
     * @param  Closure(): array<string, mixed>  $now  what is told
     * @param  Closure(): bool  $goesOn  whether more can come
     */
    public static function of(Closure $now, Closure $goesOn): StreamedResponse|JsonResponse
    {
        $hand = null;
        for ($number = 1; $hand === null && $number <= self::MOST; $number++) {
            $lock = Cache::lock("live {$number}", self::SECONDS + 5);
            $hand = $lock->get() ? $lock : null;
        }
        if ($hand === null) {
            return new JsonResponse(['message' => __('live.full')], 429, ['Retry-After' => (string) self::SECONDS]);
        }

        return new StreamedResponse(static function () use ($now, $goesOn, $hand): void {
            try {
                self::tell($now, $goesOn);
            } finally {
                $hand->release();
            }
        }, 200, ['Content-Type' => 'text/event-stream', 'Cache-Control' => 'no-store', 'X-Accel-Buffering' => 'no']);
    }

    /**
     * @param  Closure(): array<string, mixed>  $now
     * @param  Closure(): bool  $goesOn
     */
    private static function tell(Closure $now, Closure $goesOn): void
    {
        $told = '';
        echo "retry: 1000\n\n";
        for ($looked = 0; $looked < 1000 * self::SECONDS && connection_aborted() === 0; $looked += self::LOOKS_MS) {
            $json = (string) json_encode($now(), JSON_UNESCAPED_UNICODE);
            // A line that says nothing shows whether somebody still listens.
            echo $json === $told ? ":\n\n" : "data: {$json}\n\n";
            $told = $json;
            ob_get_level() > 0 && ob_flush();
            flush();
            if (! $goesOn()) {
                return;
            }
            Sleep::for(self::LOOKS_MS)->milliseconds();
        }
    }
}
