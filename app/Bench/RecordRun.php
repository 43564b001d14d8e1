<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Planter;
use App\Models\User;
use App\Record\Change;
use App\Record\Inbox;
use App\Record\NotTaken;
use App\Record\Receipt;
use App\Record\Touched;

/** Writes a run of a meter down, puts it right or takes it back. */
final readonly class RecordRun
{
    public function __construct(private Change $change)
    {
    }

    /**
     * @param  array<mixed>  $item  shape: the BenchEntry schema of the OpenAPI document
     * @return list<Receipt>
     *
     * @throws NotTaken
     */
    public function __invoke(Planter $planter, User $by, array $item): array
    {
        return $this->change->of($planter, static fn (Planter $planter, Touched $touched): array => (new Inbox($planter, $by))->takeWhole(new BenchRuns($planter), [$item], $touched));
    }
}
