import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { useSession } from './api/queries';
import { BrandList } from './pages/BrandList';
import { SignIn } from './pages/SignIn';
import { WorkbenchPage } from './pages/WorkbenchPage';
import { Waiting } from './parts/Waiting';

/** The interface: sign-in first, then the brands, then the workbench of one. */
export function App() {
  const session = useSession();
  if (session.isPending) return <Waiting />;
  if (session.isError) return <Waiting error={session.error} retry={() => void session.refetch()} />;
  if (!session.data.person) return <SignIn />;
  return (
    <BrowserRouter>
      <Routes>
        <Route path="/" element={<BrandList person={session.data.person} />} />
        <Route path="/brands/:brandId" element={<Navigate to="identity" replace />} />
        <Route path="/brands/:brandId/:stage" element={<WorkbenchPage />} />
        <Route path="*" element={<Navigate to="/" replace />} />
      </Routes>
    </BrowserRouter>
  );
}
