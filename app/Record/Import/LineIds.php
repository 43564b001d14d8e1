<?php

declare(strict_types=1);

namespace App\Record\Import;

use App\Models\Planter;
use Ramsey\Uuid\Uuid;

/**
 * The same id for the same line of the same planter on every import, so that importing a file twice keeps it once. The
 * workshop's own key goes into it: nobody else can foretell it.
 */
final class LineIds
{
    /** Names everything that Ustrel imports. */
    private const NAMESPACE = '6e1f0a52-3c1b-5d7e-9a44-7b5d2f0c81aa';

    /** @var array<string, int> how often each line has come in this file */
    private array $seen = [];

    public function __construct(
        private readonly Planter $planter,
        private readonly ImportKind $kind,
    ) {
    }

    /**
     * Lines that say the same are told apart by their turn.
     *
     * @return array{string, string} the id, and the one that an earlier version gave
     */
    public function of(string $content): array
    {
        $key = md5($content, true);
        $this->seen[$key] = ($this->seen[$key] ?? 0) + 1;
        $former = Uuid::uuid5(self::NAMESPACE, "{$this->planter->id} {$this->kind->value} {$content} {$this->seen[$key]}")->toString();

        return [$this->named($former), $former];
    }

    public function named(string $name): string
    {
        return Uuid::uuid5($this->planter->workshop->import_key, $name)->toString();
    }
}
