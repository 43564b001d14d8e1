<?php

declare(strict_types=1);

namespace App\People\Mail;

use App\Models\People\Invitation;
use App\Models\User;
use Illuminate\Mail\Mailable;
use Illuminate\Notifications\Messages\MailMessage;
use Ustrel\Core\Measure\Day;

/** Brings somebody the link by which they join. */
final class InvitationMail extends Mailable
{
    public function __construct(private readonly User $by, private readonly Invitation $invitation, private readonly string $address)
    {
    }

    public function build(): self
    {
        $workshop = $this->by->workshop;
        $names = [
            'name' => $this->by->name, 'workshop' => $workshop->name, 'role' => __("role.{$this->invitation->role->value}"),
            'until' => $workshop->sayDay(Day::of($this->invitation->expires_at->setTimezone($workshop->zone())->toDateString())),
        ];
        $message = (new MailMessage)->line(__('people.mail.invitation.line', $names))->action(__('people.mail.invitation.button'), $this->address);

        return $this->subject(__('people.mail.invitation.subject', $names))->html((string) $message->render());
    }
}
