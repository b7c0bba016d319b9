<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Http;

use ChalkLadder\Server\Platform\OpenApi\Shape;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\HttpKernel\Event\ControllerArgumentsEvent;
use Symfony\Component\PropertyInfo\PropertyTypeExtractorInterface;
use Symfony\Component\TypeInfo\Type\CollectionType;
use Symfony\Component\TypeInfo\Type\NullableType;
use Symfony\Component\TypeInfo\Type\ObjectType;

/**
 * Refuses members that an input does not have, before the framework looks them up: its property cache writes a file for
 * every name it is asked for, known or not. Runs before the deserialiser, which listens to the same event.
 */
final readonly class KnownMembers
{
    /** @param \Closure(): PropertyTypeExtractorInterface $types made where there is an input to look at */
    public function __construct(#[AutowireServiceClosure(PropertyTypeExtractorInterface::class)] private \Closure $types)
    {
    }

    #[AsEventListener(priority: 100)]
    public function __invoke(ControllerArgumentsEvent $event): void
    {
        $body = $event->getRequest()->attributes->get(BodyListener::DECODED);
        if (!is_array($body)) {
            return;
        }
        foreach ($event->getArguments() as $argument) {
            $class = $argument instanceof MapRequestPayload ? $argument->metadata->getType() : null;
            if ($class !== null && class_exists($class)) {
                $this->check($class, $body, '');
            }
        }
    }

    /**
     * @param class-string            $class
     * @param array<array-key, mixed> $part
     */
    private function check(string $class, array $part, string $path): void
    {
        foreach ($part as $name => $value) {
            $here = $path === '' ? (string) $name : "$path.$name";
            if (!property_exists($class, (string) $name)) {
                throw new Problem(
                    400,
                    'The request could not be read.',
                    'It has a member that is not known here.',
                    [mb_strimwidth($here, 0, 80, '…') => 'This is not known here.'],
                );
            }
            if (is_float($value) && $this->isWhole($class, (string) $name)) {
                throw Problem::invalid([$here => 'This must be a whole number.']);
            }
            // A document is read by its own reader, which refuses what it does not know.
            if (!is_array($value) || (new \ReflectionProperty($class, (string) $name))->getAttributes(Shape::class) !== []) {
                continue;
            }
            $type = ($this->types)()->getType($class, (string) $name);
            $type = $type instanceof NullableType ? $type->getWrappedType() : $type;
            $inner = $type instanceof CollectionType ? $type->getCollectionValueType() : $type;
            if ($inner instanceof ObjectType && class_exists($inner->getClassName())) {
                /** @var array<array-key, array<array-key, mixed>> $parts */
                $parts = $type instanceof CollectionType ? array_filter($value, is_array(...)) : [$value];
                foreach ($parts as $i => $one) {
                    $this->check($inner->getClassName(), $one, $type instanceof CollectionType ? "$here.$i" : $here);
                }
            }
        }
    }

    /** @param class-string $class */
    private function isWhole(string $class, string $name): bool
    {
        $type = (new \ReflectionProperty($class, $name))->getType();

        return $type instanceof \ReflectionNamedType && $type->getName() === 'int';
    }
}
