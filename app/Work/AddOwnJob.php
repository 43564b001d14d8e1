<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Planter;
use App\Models\User;
use App\Record\Change;
use App\Record\Inbox;
use App\Record\NotTaken;
use App\Record\Receipt;
use App\Record\Touched;

/** Adds work of the shop's own to a planter, corrects it or takes it back. */
final readonly class AddOwnJob
{
    public function __construct(private Change $change)
    {
    }

    /**
     * @param  array<mixed>  $item  shape: the OwnJob schema of the OpenAPI document
     * @return list<Receipt>
     *
     * @throws NotTaken
     */
    public function __invoke(Planter $planter, User $by, array $item): array
    {
        return $this->change->of($planter, static fn (Planter $planter, Touched $touched): array => (new Inbox($planter, $by))->takeWhole(new OwnJobs($planter), [$item], $touched));
    }
}
