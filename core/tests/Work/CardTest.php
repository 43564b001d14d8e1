<?php

declare(strict_types=1);

use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Jobs\JobBook;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Work\Card;
use Ustrel\Core\Work\JobOrder;
use Ustrel\Core\Work\ToDo;
use Ustrel\Core\Work\WorkList;

it('has what comes off in the order in which it does, then the jobs, with the blades before their contact', function (): void {
    $jobs = [
        Job::at(Action::Adjust, new Place(3, CheckKey::from('blade_contact_length'), Side::Centre)),
        Job::change(new SlotPlace(3, Slot::from('opener_blade'), Side::Left)),
    ];
    $pieces = WorkList::pieces([new ToDo('a', $jobs, 0, false)], JobBook::typical(), JobOrder::typical());
    $card = Card::of($pieces[1], JobBook::typical(), JobOrder::typical())->lines;
    expect(array_keys($card))->toBe([
        'off:3:lock:centre', 'off:3:gauge_wheel:left', 'off:3:scraper:left', 'off:3:opener_blade:left', 'off:3:gauge_wheel:right', 'off:3:scraper:right', 'off:3:opener_blade:right',
        'adjust:3:blade_contact_length:centre', 'change:3:opener_blade:left',
    ]);
    expect($card['off:3:scraper:left'])->toBe(['off:3:lock:centre', 'off:3:gauge_wheel:left'])
        ->and($card['change:3:opener_blade:left'])->toBe(['off:3:lock:centre', 'off:3:gauge_wheel:left', 'off:3:scraper:left', 'off:3:opener_blade:left'])
        ->and($card['adjust:3:blade_contact_length:centre'])->toContain('change:3:opener_blade:left', 'off:3:opener_blade:right')
        ->and($card['off:3:lock:centre'])->toBe([]);
});
