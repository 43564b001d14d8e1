<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\Planter;
use App\Models\User;
use App\Record\Affected;
use App\Record\Change;
use App\Record\Inbox;
use App\Record\NotTaken;
use App\Record\Receipt;
use Ustrel\Core\Parts\ImpossibleLedger;
use Ustrel\Core\Spec\Side;

/** Writes into a planter's ledger what was fitted, taken out or moved: all of it, or nothing. */
final readonly class RecordEvents
{
    public function __construct(private Change $change)
    {
    }

    /**
     * @param  list<mixed>  $items  shape of each: the LedgerEntry schema of the OpenAPI document
     * @return list<Receipt>
     *
     * @throws NotTaken
     * @throws ImpossibleLedger
     * @throws BrokenFitRule
     */
    public function __invoke(Planter $planter, User $by, array $items): array
    {
        return $this->change->of($planter, static fn (Planter $planter, Affected $affected): array => (new Inbox($planter, $by))->takeWhole(new LedgerEvents($planter, $by->units), $items, $affected));
    }

    public static function worded(ImpossibleLedger $impossible): string
    {
        $place = $impossible->place;

        return __("ledger.{$impossible->fault->value}", [
            'row' => $place->row ?? '?',
            'slot' => $place === null ? '?' : __("slot.{$place->slot->value}").($place->side === Side::Centre ? '' : ' '.__("side.{$place->side->value}")),
            'other' => substr($impossible->other?->toIso() ?? '', 0, 10),
        ]);
    }
}
