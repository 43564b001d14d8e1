<?php

declare(strict_types=1);

use Ustrel\Core\Parts\Stock\CounterAnswer;
use Ustrel\Core\Parts\Stock\CounterFault;
use Ustrel\Core\Parts\Stock\CounterLine;
use Ustrel\Core\Parts\Stock\UnreadableCounter;

const COUNTER_HEAD = '{"ustrel":"counter","version":1,"currency":"USD","lines":2}';
const COUNTER_BLADE = '{"number":"T-1","price":36.5,"in_stock":12,"lead_days":3}';

it('reads what a parts counter answers, in whatever order', function (): void {
    $read = CounterAnswer::read(COUNTER_HEAD."\r\n".'{"number":"7","known":false,"price":3}'."\r\n".COUNTER_BLADE."\r\n", ['T-1', '7'], 'USD');
    expect($read)->toEqual([new CounterLine('T-1', true, 36.5, 12, 3), new CounterLine('7', false, null, null, null)])
        // What it does not say is not known, and not nothing.
        ->and(CounterAnswer::read('{"ustrel":"counter","version":1,"currency":"USD","lines":1}'."\n".'{"number":"T-1","price":null}', ['T-1'], 'USD')[0])->toEqual(new CounterLine('T-1', true, null, null, null));
});

it('uses nothing of an answer that is wrong anywhere', function (string $body, CounterFault $fault, string $about = ''): void {
    try {
        CounterAnswer::read($body, ['T-1', 'T-2'], 'USD');
        $said = null;
    } catch (UnreadableCounter $unreadable) {
        $said = [$unreadable->fault, $unreadable->about];
    }
    expect($said)->toBe([$fault, $about]);
})->with([
    'nothing' => ['', CounterFault::NotUnderstood],
    'a page' => ['<html><body>Sign in</body></html>', CounterFault::NotUnderstood],
    'a list' => ['[1, 2]', CounterFault::NotUnderstood],
    'no such version' => ['{"ustrel":"counter","version":2,"currency":"USD","lines":0}', CounterFault::NotUnderstood],
    'a page in the middle' => [COUNTER_HEAD."\n<p>\n".COUNTER_BLADE, CounterFault::NotUnderstood],
    'a line without a number' => [COUNTER_HEAD."\n{\"price\":2}", CounterFault::NotUnderstood],
    'the other currency' => [str_replace('USD', 'EUR', COUNTER_HEAD)."\n".COUNTER_BLADE, CounterFault::OtherCurrency, 'EUR'],
    'cut within a line' => [COUNTER_HEAD."\n".COUNTER_BLADE."\n{\"number\":\"T-2\",\"pri", CounterFault::Half],
    'cut between two lines' => [COUNTER_HEAD."\n".COUNTER_BLADE, CounterFault::Half],
    'cut after the first' => [COUNTER_HEAD, CounterFault::Half],
    'fewer than were asked for' => [str_replace('"lines":2', '"lines":1', COUNTER_HEAD)."\n".COUNTER_BLADE, CounterFault::Half],
    'one twice' => [COUNTER_HEAD."\n".COUNTER_BLADE."\n".COUNTER_BLADE, CounterFault::WrongLine, 'T-1'],
    'one that nobody asked for' => [COUNTER_HEAD."\n".COUNTER_BLADE."\n{\"number\":\"T-9\",\"price\":1}", CounterFault::WrongLine, 'T-9'],
    'below nothing' => [COUNTER_HEAD."\n{\"number\":\"T-1\",\"price\":-4}", CounterFault::WrongLine, 'T-1'],
    'a price without end' => [COUNTER_HEAD."\n{\"number\":\"T-1\",\"price\":1e300}", CounterFault::WrongLine, 'T-1'],
    'parts of a cent' => [COUNTER_HEAD."\n{\"number\":\"T-1\",\"price\":1.005}", CounterFault::WrongLine, 'T-1'],
    'a price in words' => [COUNTER_HEAD."\n{\"number\":\"T-1\",\"price\":\"36.50\"}", CounterFault::WrongLine, 'T-1'],
    'half a piece' => [COUNTER_HEAD."\n{\"number\":\"T-1\",\"in_stock\":1.5}", CounterFault::WrongLine, 'T-1'],
    'here yesterday' => [COUNTER_HEAD."\n{\"number\":\"T-1\",\"lead_days\":-1}", CounterFault::WrongLine, 'T-1'],
    'known by a word' => [COUNTER_HEAD."\n{\"number\":\"T-1\",\"known\":\"yes\"}", CounterFault::WrongLine, 'T-1'],
]);
