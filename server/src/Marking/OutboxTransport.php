<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

use ChalkLadder\Server\Marking\Entity\OutboxMessage;
use ChalkLadder\Server\Marking\Repository\MarkRepository;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;

/** Keeps what would have been sent, in the transaction of whoever sends it. */
final class OutboxTransport extends AbstractTransport
{
    public function __construct(private readonly MarkRepository $repository, private readonly ClockInterface $clock)
    {
        parent::__construct();
    }

    public function __toString(): string
    {
        return 'outbox://default';
    }

    protected function doSend(SentMessage $message): void
    {
        $mail = $message->getOriginalMessage();
        if (!$mail instanceof StudentMail) {
            throw new \LogicException('The outbox takes words to students.');
        }
        $body = $mail->getTextBody();
        $this->repository->add(new OutboxMessage(
            $mail->teamId,
            $mail->studentId,
            $mail->handoutId,
            (string) $mail->getSubject(),
            is_string($body) ? $body : '',
            $mail->sentBy,
            $this->clock->now(),
        ));
    }
}
