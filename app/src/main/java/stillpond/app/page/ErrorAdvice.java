package stillpond.app.page;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Objects;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.MessageSourceResolvable;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.firewall.RequestRejectedException;
import org.springframework.util.unit.DataSize;
import org.springframework.validation.FieldError;
import org.springframework.web.ErrorResponse;
import org.springframework.web.HttpMediaTypeNotSupportedException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.ServletRequestBindingException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.method.annotation.HandlerMethodValidationException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;
import org.springframework.web.servlet.ModelAndView;
import stillpond.app.project.NotAllowed;
import stillpond.app.settings.PondSettings;
import stillpond.core.exchange.UnreadableCards;
import stillpond.core.format.UnreadableFile;
import stillpond.core.refusal.Refusal;
import tools.jackson.core.exc.StreamConstraintsException;

/** Turns what went wrong into a problem detail (RFC 9457) for scripts, or into a page for people. */
@ControllerAdvice
class ErrorAdvice {

    private static final String NOT_HERE = "There is nothing at this address, or you are not a member of its project.";

    private static final Logger LOG = LoggerFactory.getLogger(ErrorAdvice.class);

    private final DataSize maxFile;

    ErrorAdvice(PondSettings settings) {
        this.maxFile = settings.limits().maxFile();
    }

    @ExceptionHandler(NoSuchElementException.class)
    Object notFound(HttpServletRequest request) {
        return answer(request, HttpStatus.NOT_FOUND, NOT_HERE);
    }

    /** An address that cannot be one leads nowhere; what is asked about it can be wrong in itself. */
    @ExceptionHandler(MethodArgumentTypeMismatchException.class)
    Object mismatch(MethodArgumentTypeMismatchException problem, HttpServletRequest request) {
        if (problem.getParameter().hasParameterAnnotation(PathVariable.class)) {
            return notFound(request);
        }
        return answer(
                request,
                HttpStatus.BAD_REQUEST,
                "'" + problem.getName() + "' is not what is wanted there; nothing was changed.");
    }

    @ExceptionHandler({ServletRequestBindingException.class, MissingServletRequestPartException.class})
    Object missing(Exception problem, HttpServletRequest request) {
        String what = problem instanceof MissingServletRequestParameterException parameter
                ? "'" + parameter.getParameterName() + "' is missing"
                : "Something that belongs to it is missing";
        return answer(request, HttpStatus.BAD_REQUEST, what + "; nothing was changed.");
    }

    @ExceptionHandler({MethodArgumentNotValidException.class, HandlerMethodValidationException.class})
    Object invalid(Exception problem, HttpServletRequest request) {
        List<? extends MessageSourceResolvable> errors = problem instanceof HandlerMethodValidationException method
                ? method.getAllErrors()
                : ((MethodArgumentNotValidException) problem).getAllErrors();
        String first = errors.get(0) instanceof FieldError field
                ? "'" + field.getField() + "' " + field.getDefaultMessage()
                : Objects.toString(errors.get(0).getDefaultMessage());
        return answer(request, HttpStatus.BAD_REQUEST, first + "; nothing was changed.");
    }

    @ExceptionHandler(UnreadableFile.class)
    Object unreadable(UnreadableFile problem, HttpServletRequest request) {
        return answer(request, HttpStatus.UNPROCESSABLE_CONTENT, problem.getMessage());
    }

    @ExceptionHandler(UnreadableCards.class)
    Object unreadableCards(UnreadableCards problem, HttpServletRequest request) {
        return answer(request, HttpStatus.UNPROCESSABLE_CONTENT, problem.getMessage());
    }

    @ExceptionHandler(MaxUploadSizeExceededException.class)
    Object tooLarge(HttpServletRequest request) {
        return answer(
                request,
                HttpStatus.CONTENT_TOO_LARGE,
                "The file is larger than " + maxFile.toMegabytes() + " MB, so it was not taken.");
    }

    @ExceptionHandler(MultipartException.class)
    Object noForm(HttpServletRequest request) {
        return answer(
                request,
                HttpStatus.BAD_REQUEST,
                "A file is sent the way a form sends it; this was sent otherwise, so nothing was taken.");
    }

    @ExceptionHandler(NotAllowed.class)
    Object notAllowed(NotAllowed problem, HttpServletRequest request) {
        return answer(request, HttpStatus.FORBIDDEN, problem.getMessage());
    }

    @ExceptionHandler(Refusal.class)
    Object refused(Refusal refusal, HttpServletRequest request) {
        return answer(request, HttpStatus.BAD_REQUEST, refusal.getMessage());
    }

    /** What nobody foresaw: people are told a number, under which we find what happened. */
    @ExceptionHandler(RuntimeException.class)
    Object fault(RuntimeException fault, HttpServletRequest request) {
        boolean isForOthers = fault instanceof ErrorResponse
                || fault instanceof AccessDeniedException
                || fault instanceof AuthenticationException;
        if (isForOthers) {
            throw fault;
        }
        String number = RequestIds.of(request);
        LOG.error("Fault at {}", request.getRequestURI(), fault);
        return answer(
                request,
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something went wrong here, and nothing was changed. It is noted under the number " + number + ".");
    }

    @ExceptionHandler({
        HttpMessageNotReadableException.class,
        HttpMediaTypeNotSupportedException.class,
        RequestRejectedException.class
    })
    Object badMessage(Exception problem, HttpServletRequest request) {
        return NestedExceptionUtils.getMostSpecificCause(problem) instanceof StreamConstraintsException
                ? answer(
                        request,
                        HttpStatus.CONTENT_TOO_LARGE,
                        "This is more than is read at once; nothing was changed.")
                : answer(request, HttpStatus.BAD_REQUEST, "The request could not be understood; nothing was changed.");
    }

    private static Object answer(HttpServletRequest request, HttpStatus status, String message) {
        if (request.getHeader("X-Requested-With") != null) {
            return ResponseEntity.of(ProblemDetail.forStatusAndDetail(status, message))
                    .build();
        }
        return new ModelAndView("error", Map.of("status", status.value(), "message", message), status);
    }
}
