<?php

declare(strict_types=1);

namespace App\Work;

use App\Field\SettingEvents;
use App\Models\Planter;
use App\Models\User;
use App\Parts\BrokenFitRule;
use App\Parts\LedgerEvents;
use App\Record\Affected;
use App\Record\Change;
use App\Record\Inbox;
use App\Record\NotTaken;
use App\Record\Receipt;
use App\Record\Refused;
use Ustrel\Core\Parts\ImpossibleLedger;

/** Writes what hands said of the work, the parts and shims that went with it, and what was set by it: all of it, or nothing. */
final readonly class RecordWork
{
    public function __construct(
        private Change $change,
        private OpenWork $work,
    ) {
    }

    /**
     * @param  list<mixed>  $events  shape of each: the WorkEntry schema of the OpenAPI document
     * @param  list<mixed>  $ledger  shape of each: the LedgerEntry schema
     * @param  list<mixed>  $settings  what was set with it; shape of each: the SettingEntry schema
     * @return list<Receipt> of the events, then of the ledger, then of the settings
     *
     * @throws NotTaken
     * @throws ImpossibleLedger
     * @throws BrokenFitRule
     */
    public function __invoke(Planter $planter, User $by, array $events, array $ledger, array $settings = []): array
    {
        self::belongs($events, $ledger);

        return $this->change->of($planter, function (Planter $planter, Affected $affected) use ($by, $events, $ledger, $settings): array {
            $inbox = new Inbox($planter, $by);
            $receipts = $inbox->takeWhole(new WorkEvents($planter, $this->work), $events, $affected);
            foreach (['ledger' => [new LedgerEvents($planter, $by->units), $ledger], 'settings' => [new SettingEvents($planter), $settings]] as $name => [$kind, $items]) {
                try {
                    array_push($receipts, ...($items === [] ? [] : $inbox->takeWhole($kind, $items, $affected)));
                } catch (NotTaken $notTaken) {
                    throw new NotTaken($notTaken->receipts, $name);
                }
            }
            $affected->work = true;

            return $receipts;
        });
    }

    /**
     * What goes into the ledger is named by what is finished, so that neither is ever sent again without the other.
     *
     * @param  list<mixed>  $events
     * @param  list<mixed>  $ledger
     *
     * @throws NotTaken
     */
    private static function belongs(array $events, array $ledger): void
    {
        $named = array_merge(...array_map(static fn (mixed $event): array => is_array($event) && is_array($event['ledger'] ?? null) ? array_values($event['ledger']) : [], $events));
        $sent = array_map(static fn (mixed $entry): mixed => is_array($entry) ? $entry['id'] ?? null : null, $ledger);
        sort($named);
        sort($sent);
        if ($named !== $sent) {
            throw new NotTaken([Receipt::refused(0, null, Refused::because('ledger', 'hands.ledger'))], 'events');
        }
    }
}
