<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Http;

use ChalkLadder\Core\Document\Node;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Attribute\AsTargetedValueResolver;
use Symfony\Component\HttpKernel\Controller\ValueResolverInterface;
use Symfony\Component\HttpKernel\ControllerMetadata\ArgumentMetadata;

#[AsTargetedValueResolver(self::class)]
final class DocumentResolver implements ValueResolverInterface
{
    /** @return list<ReadsDocument> */
    public function resolve(Request $request, ArgumentMetadata $argument): array
    {
        $class = $argument->getType();
        if ($class === null || !is_subclass_of($class, ReadsDocument::class)) {
            throw new \LogicException("$class does not read documents.");
        }
        $body = $request->attributes->get(BodyListener::DECODED);
        if (!is_array($body)) {
            throw new Problem(400, 'The request could not be read.', 'Its body is not the JSON that is expected here.');
        }
        $node = new Node($body);
        $input = $class::read($node);
        $node->rejectUnknown();
        $node->finish();

        return [$input];
    }
}
