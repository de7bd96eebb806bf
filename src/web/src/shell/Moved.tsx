import { Navigate, useLocation } from "react-router";

/** An address that has moved: whoever has the old one comes to the new one, with all that follows it. */
export function Moved({ to }: { to: string }) {
  const { search, hash } = useLocation();
  return <Navigate to={{ pathname: to, search, hash }} replace />;
}
