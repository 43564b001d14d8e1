<?php

declare(strict_types=1);

namespace App\Record\Import;

use Ramsey\Uuid\Uuid;

/** The same id for the same line of the same planter on every import, so that importing a file twice keeps it once. */
final class LineIds
{
    /** Names everything that Ustrel imports. */
    private const NAMESPACE = '6e1f0a52-3c1b-5d7e-9a44-7b5d2f0c81aa';

    /** @var array<string, int> how often each line has come in this file */
    private array $seen = [];

    public function __construct(
        private readonly int $planterId,
        private readonly ImportKind $kind,
    ) {
    }

    /** Lines that say the same are told apart by their turn. */
    public function of(string $content): string
    {
        $key = md5($content, true);
        $this->seen[$key] = ($this->seen[$key] ?? 0) + 1;

        return $this->named("{$content} {$this->seen[$key]}");
    }

    public function named(string $name): string
    {
        return Uuid::uuid5(self::NAMESPACE, "{$this->planterId} {$this->kind->value} {$name}")->toString();
    }
}
