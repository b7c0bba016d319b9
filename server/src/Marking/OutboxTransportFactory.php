<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Symfony\Component\Mailer\Exception\UnsupportedSchemeException;
use Symfony\Component\Mailer\Transport\Dsn;
use Symfony\Component\Mailer\Transport\TransportFactoryInterface;
use Symfony\Component\Mailer\Transport\TransportInterface;

/** Makes the mailer write to the outbox: `outbox://default`. */
#[AutoconfigureTag('mailer.transport_factory')]
final readonly class OutboxTransportFactory implements TransportFactoryInterface
{
    public function __construct(private OutboxTransport $outbox)
    {
    }

    public function create(Dsn $dsn): TransportInterface
    {
        return $this->supports($dsn) ? $this->outbox : throw new UnsupportedSchemeException($dsn, 'outbox', ['outbox']);
    }

    public function supports(Dsn $dsn): bool
    {
        return $dsn->getScheme() === 'outbox';
    }
}
