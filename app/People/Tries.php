<?php

declare(strict_types=1);

namespace App\People;

use App\Models\People\Attempt;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/**
 * Counts tries at what can be guessed. A try is counted before it is answered, in one statement, so that of many side by
 * side no more than the limit get an answer; what was no guess is given back.
 */
final class Tries
{
    /**
     * @return int which try it is within its time, 1 for the first
     */
    public function count(string $key, int $seconds): int
    {
        return (int) Attempt::query()->fromQuery(<<<'SQL'
            INSERT INTO tries (key, count, until) VALUES (?, 1, now() + make_interval(secs => ?))
            ON CONFLICT (key) DO UPDATE SET
                count = CASE WHEN tries.until <= now() THEN 1 ELSE tries.count + 1 END,
                until = CASE WHEN tries.until <= now() THEN excluded.until ELSE tries.until END
            RETURNING *
            SQL, [$key, $seconds])->firstOrFail()->count;
    }

    /** @throws TooManyRequestsHttpException over the limit */
    public function take(string $key, int $most, int $seconds): void
    {
        if ($this->count($key, $seconds) > $most) {
            throw new TooManyRequestsHttpException($seconds);
        }
    }

    public function giveBack(string $key): void
    {
        Attempt::query()->where('key', $key)->where('count', '>', 0)->decrement('count');
    }
}
