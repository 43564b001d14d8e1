<?php

declare(strict_types=1);

namespace App\People\Mail;

use App\People\Passwords;
use Illuminate\Mail\Mailable;
use Illuminate\Notifications\Messages\MailMessage;

/** Brings a person the link by which they choose a new password. */
final class ResetMail extends Mailable
{
    public function __construct(private readonly string $address)
    {
    }

    public function build(): self
    {
        $message = (new MailMessage)
            ->line(__('people.mail.reset.line', ['minutes' => Passwords::minutes()]))
            ->action(__('people.mail.reset.button'), $this->address);

        return $this->subject(__('people.mail.reset.subject'))->html((string) $message->render());
    }
}
