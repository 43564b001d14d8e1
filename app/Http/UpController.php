<?php

declare(strict_types=1);

namespace App\Http;

use App\Console\Pulse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Whether Ustrel can work, for who watches over it. Says nothing else. */
final class UpController
{
    public function __invoke(Pulse $pulse): Response
    {
        try {
            DB::select('SELECT 1 FROM workshops LIMIT 1');
            $isWell = $pulse->isWell();
        } catch (Throwable) {
            return new Response('', 503);
        }

        return new Response('', $isWell ? 204 : 503);
    }
}
