<?php

declare(strict_types=1);

namespace App\Record\Import;

use Illuminate\Contracts\Cache\Repository;

/** How far an import has read, for who waits for it; it is not worth keeping. */
final readonly class ImportProgress
{
    private const KEPT_MINUTES = 60;

    public function __construct(private Repository $cache)
    {
    }

    public function tell(int $import, int $lines, float $share): void
    {
        $this->cache->put("import.{$import}", ['lines' => $lines, 'share' => round($share, 3)], now()->addMinutes(self::KEPT_MINUTES));
    }

    /** @return array{lines: int, share: float}|null */
    public function of(int $import): ?array
    {
        $told = $this->cache->get("import.{$import}");

        return is_array($told) && is_int($told['lines'] ?? null) && is_numeric($told['share'] ?? null) ? ['lines' => $told['lines'], 'share' => (float) $told['share']] : null;
    }
}
